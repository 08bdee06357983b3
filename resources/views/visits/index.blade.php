<x-layout title="Round">
    <div class="head">
        <div><p class="crumbs">Round</p><h1>{{ \App\Support\Say::longDate($today) }}</h1></div>
        <form class="filters mb-0" action="{{ route('round') }}">
            <div><label for="crew">Crew</label><select class="form-select" id="crew" name="crew">@foreach ($crews as $each)<option value="{{ $each->id }}" @selected($crew === $each->id)>{{ $each->name }}</option>@endforeach</select></div>
            <button class="btn btn-quiet">Show</button>
        </form>
    </div>
    @php($lists = ['Today' => [$now, 'No visit today.'], 'Still to be logged' => [$unlogged, null], 'Coming' => [$coming, 'No visit is planned ahead.'], 'Lately' => [$past, null]])
    @foreach ($lists as $name => [$visits, $empty])
        @continue($visits->isEmpty() && $empty === null)
        <h2>{{ $name }}</h2>
        @if ($visits->isEmpty())<p>{{ $empty }} Visits are planned from a garden's page or from the season.</p>@endif
        <ul class="due">
            @foreach ($visits as $visit)
                <li>
                    <span class="what"><a href="{{ route('visits.show', $visit) }}">{{ $visit->garden->name }}</a></span>
                    <span class="when">{{ \App\Support\Say::date($visit->on->format('Y-m-d')) }}</span>
                    <span class="where">{{ $visit->tasks->map(fn ($task) => $task->plant->label)->unique()->implode(', ') }}</span>
                    <span class="act">{{ $visit->tasks->whereNotNull('log')->count() }} of {{ $visit->tasks->count() }} logged, {{ \App\Support\Say::minutes($visit->minutes()) }}</span>
                </li>
            @endforeach
        </ul>
    @endforeach
</x-layout>
