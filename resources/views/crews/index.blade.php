@use('App\Ground\Models\Firm')
<x-layout title="Crews">
    <div class="head">
        <div><p class="crumbs"><a href="{{ route('plan') }}">Plan</a></p><h1>Crews</h1></div>
        <div class="d-flex gap-2"><a class="btn btn-quiet" href="{{ route('people.index') }}">People</a>
        @can('update', Firm::class)<a class="btn btn-quiet" href="{{ route('crews.create') }}">Add a
            crew</a>@endcan</div>
    </div>
    @if ($crews->isEmpty())<p>There is no crew yet: nothing can be planned until there is one.</p>@endif
    <ul class="due to-56">
        @foreach ($crews as $crew)
            <li>
                <span class="what">@can('update', Firm::class)<a href="{{ route('crews.edit',
                    $crew) }}">{{ $crew->name }}</a>@else{{ $crew->name }}@endcan</span>
                <span class="when">{{ $crew->people }} {{ $crew->people === 1 ? 'person' : 'people' }}</span>
                <span class="where">{{ $crew->members->isEmpty() ? 'nobody with a name yet'
                    : $crew->members->map(fn ($user) => $user->name.', '.$user->role->value)->implode('; ') }}</span>
                <span class="act">{{ $crew->skills === [] ? 'no ladder, saw or shears'
                    : implode(', ', $crew->skills) }}{{ $crew->overtime ? ', overtime' : '' }}</span>
            </li>
        @endforeach
    </ul>
    <x-pages :pages="$pages" what="crews" />
    <h2>The depot and the record</h2>
    <p>Crew days begin and end here; travel is calculated from it: 1.3 times the straight line, at
        36 km an hour.</p>
    @can('update', Firm::class)
        <form method="post" action="{{ route('depot.update') }}" class="to-56" novalidate>
            @csrf<x-version :of="$firm" /> @method('put')
            <div class="row">
                <div class="col-md-4"><x-field name="depot_latitude" label="Latitude" :value="$firm->depot_latitude"
                    inputmode="decimal" help="Degrees; south is negative." /></div>
                <div class="col-md-4"><x-field name="depot_longitude" label="Longitude" :value="$firm->depot_longitude"
                    inputmode="decimal" help="Degrees; west is negative." /></div>
                <div class="col-md-4"><x-field name="usual_travel" label="Usual way, minutes"
                    :value="$firm->usual_travel" required inputmode="numeric"
                    help="While nobody has said where the depot is." /></div>
                <div class="col-md-4"><x-field name="log_days" label="Days a hand may edit a log"
                    :value="$firm->log_days" required inputmode="numeric"
                    help="After the visit; leads and planners may at any time." /></div>
            </div>
            <button class="btn btn-primary">Save</button>
        </form>
    @else
        <p>{{ $firm->depot_latitude === null ? 'Nobody has said where it is.'
            : $firm->depot_latitude.', '.$firm->depot_longitude }} <span class="soft">Only the planner changes
            it.</span></p>
    @endcan
    @can('update', Firm::class)<p class="mt-3"><a class="btn btn-quiet" href="{{ route('changes') }}">Who
        changed what</a> <a class="btn btn-quiet" href="{{ route('post') }}">Post office</a>
        <a class="btn btn-quiet" href="{{ route('files') }}">Files in and out</a></p>@endcan
</x-layout>
