<x-layout :title="$garden->name">
    <p class="crumbs"><a href="{{ route('gardens.index') }}">Gardens</a></p>
    <div class="head">
        <h1>{{ $garden->name }}</h1>
        <div class="d-flex gap-2 flex-wrap no-print">
            @can('plan', $garden)<a class="btn btn-primary" data-key="p" href="{{ route('visits.create',
                $garden) }}">Plan a visit</a>@endcan
            <a class="btn btn-quiet" href="{{ route('observations.index', $garden) }}">Signs of the season</a>
            <a class="btn btn-quiet" href="{{ route('record', ['garden' => $garden->name]) }}">Record</a>
            <a class="btn btn-quiet" href="{{ route('gardens.labels', $garden) }}">Labels</a>
            @can('update', $garden)
                <a class="btn btn-quiet" href="{{ route('gardens.plants.create', $garden) }}">Add a plant</a>
                <a class="btn btn-quiet" href="{{ route('plants.list', $garden) }}">Plants from a list</a>
                <a class="btn btn-quiet" href="{{ route('letters.show', $garden) }}">Letter</a>
                <a class="btn btn-quiet" data-key="e" href="{{ route('gardens.edit', $garden) }}">Edit</a>
            @endcan
        </div>
    </div>
    @error('archive')<div class="said wrong" role="alert">{{ $message }}</div>@enderror
    @if ($garden->archived_on)
        <div class="said"><span>Archived on {{ Say::date($garden->archived_on) }}: nothing is due here,
            and what was done stays in the record.</span>@can('archive', $garden)<form method="post"
            action="{{ route('gardens.back', $garden) }}">@csrf<button class="btn btn-quiet">Bring it
            back</button></form>
            @endcan</div>
    @endif
    <div class="season">
        <div>
            <dl class="facts">
                <dt>Client</dt><dd>{{ $garden->client }}</dd>
                @if ($garden->address)<dt>Address</dt><dd>{{ $garden->address }}</dd>@endif
                <dt>Crew</dt><dd>{{ $garden->crew?->name ?? 'none yet' }}</dd>
                <dt>Last frost</dt><dd>{{ $garden->last_frost ?
                    Say::date(
                        \PruningHook\Core\Calendar\MonthDay::parse($garden->last_frost)->in($today->year())
                    ) : 'no frost' }}</dd>
                <dt>First frost</dt><dd>{{ $garden->first_frost ?
                    Say::date(
                        \PruningHook\Core\Calendar\MonthDay::parse($garden->first_frost)->in($today->year())
                    ) : 'no frost' }}</dd>
                <dt>Winter</dt><dd>{{ $garden->winter }}</dd>
                <dt>Region</dt><dd>{{ $garden->inRegion()->inWords() }}{{ $garden->region === null ? ', by its place'
                    : '' }}</dd>
                <dt>Place</dt><dd>{{ abs($garden->latitude) }}° {{ $garden->latitude < 0 ? 'S' : 'N' }},
                    {{ abs($garden->longitude) }}° {{ $garden->longitude < 0 ? 'W' : 'E' }},
                    {{ $garden->elevation_m }} m</dd>
                @foreach ($garden->practice as $question => $option)
                    @isset($book->questions[$question]->options[$option])
                        <dt>{{ $book->questions[$question]->name }}</dt>
                        <dd>{{ $book->questions[$question]->options[$option] }}</dd>@endisset
                @endforeach
            </dl>
            @foreach ($putAside as $says)<p class="wrong-note mt-2 mb-0">{{ $says }}</p>@endforeach
            @if ($garden->notes)<p class="mt-2"><em>{{ $garden->notes }}</em></p>@endif
            @if ($garden->wished_days !== [])<p class="mt-2 mb-0"><b>Asked for:</b> {{ $garden->wishedInWords()
                }}</p>@endif
            @if ($garden->wishes)<p class="mt-2"><b>{{ $garden->client }} wishes:</b> {{ $garden->wishes }}</p>@endif

            <h2>Due here</h2>
            @if ($rows === [])
                <p>Nothing is due now or in the next six weeks.</p>
            @else
                <x-due-list :rows="$rows" :garden="false" />
                @if ($hasMore)<p class="mt-2"><a href="{{ route('season', ['garden' => $garden->name]) }}">More is due
                    here: all of it, in the season</a></p>@endif
            @endif

            <h2>Visits</h2>
            @forelse ($coming as $visit)
                <p class="mb-1"><a href="{{ route('visits.show',
                    $visit) }}">{{ Say::date($visit->on) }}</a>, {{ $visit->tasks->count() }}
                    {{ $visit->tasks->count() === 1 ? 'task' : 'tasks' }}, {{ $visit->crew?->name }}, about
                    {{ Say::minutes($visit->minutes()) }}{{ $visit->unlogged
                    < $visit->tasks->count() ? ', partly logged' : '' }}</p>
            @empty
                <p>No visit is planned.</p>
            @endforelse
            @if ($past->isNotEmpty())
                <details @if (request()->has('visits')) open @endif><summary>{{ $pages->total }} past
                    {{ $pages->total === 1 ? 'visit' : 'visits' }}</summary>
                    @foreach ($past as $visit)<p class="mb-1"><a href="{{ route('visits.show',
                        $visit) }}">{{ Say::date($visit->on) }}</a>, {{ $visit->tasks->count() }}
                        tasks</p>@endforeach
                    @if ($pages->last > 1)<x-pages :pages="$pages" what="visits" />@endif
                </details>
            @endif
        </div>
        <section class="wall" aria-labelledby="plants-title">
            <div class="group-head"><h2 id="plants-title">Plants</h2></div>
            @if ($strips === [])
                <p>No plants yet. @can('update', $garden)<a href="{{ route('gardens.plants.create', $garden) }}">Add the
                    first one</a>, or <a href="{{ route('plants.list', $garden) }}">many from a list</a>: window, method
                    and amount are worked out at once.@endcan</p>
            @else
                <x-legend />
                <x-wall :months="$months" :width="$width" :rows="$strips" />
                @if ($plantPages->last > 1)<x-pages :pages="$plantPages" what="plants" />@endif
            @endif
        </section>
    </div>
</x-layout>
