@php($names = ['closing' => 'Closing within two weeks', 'missed' => 'Passed and not logged', 'open' => 'Open now', 'coming' => 'Coming in six weeks'])
<x-layout title="Season">
    <div class="head">
        <div>
            <p class="crumbs">Season</p>
            <h1>{{ \App\Support\Say::longDate($today) }}</h1>
        </div>
        <p class="tally mb-0">
            @foreach ($names as $key => $name)
                <a href="{{ route('season', [...request()->except('show'), ...($filter->show === $key ? [] : ['show' => $key])]) }}" @if ($filter->show === $key) aria-current="true" @endif><b>{{ $counts[$key] }}</b>{{ ['closing' => 'closing', 'missed' => 'passed', 'open' => 'open', 'coming' => 'coming'][$key] }}</a>
            @endforeach
        </p>
    </div>
    <form class="filters no-print" action="{{ route('season') }}">
        @if ($filter->show)<input type="hidden" name="show" value="{{ $filter->show }}">@endif
        <div><label for="q">Plant, place or client</label><input class="form-control" id="q" name="q" type="search" value="{{ $filter->text }}"></div>
        <div><label for="garden">Garden</label><select class="form-select" id="garden" name="garden"><option value="">all gardens</option>@foreach ($gardens as $garden)<option value="{{ $garden->id }}" @selected($filter->garden === $garden->id)>{{ $garden->name }}</option>@endforeach</select></div>
        <div><label for="crew">Crew</label><select class="form-select" id="crew" name="crew"><option value="">all crews</option>@foreach ($crews as $crew)<option value="{{ $crew->id }}" @selected($filter->crew === $crew->id)>{{ $crew->name }}</option>@endforeach</select></div>
        <div><label for="kind">Kind</label><select class="form-select" id="kind" name="kind"><option value="">all kinds</option>@foreach (collect($book->names)->sortBy('name') as $kind)<option value="{{ $kind->id }}" @selected($filter->kind === $kind->id)>{{ $kind->name }}</option>@endforeach</select></div>
        <div><label for="by">Rows by</label><select class="form-select" id="by" name="by">@foreach (App\Season\Grouping::cases() as $by)<option value="{{ $by->value }}" @selected($filter->by === $by)>{{ $by->value }}</option>@endforeach</select></div>
        <div><label for="zoom">Wall shows a</label><select class="form-select" id="zoom" name="zoom">@foreach (App\Season\Zoom::cases() as $zoom)<option value="{{ $zoom->value }}" @selected($filter->zoom === $zoom)>{{ $zoom->value }}</option>@endforeach</select></div>
        <button class="btn btn-primary">Show</button>
        @if ($filter->isOn())<a class="btn btn-quiet" href="{{ route('season') }}">Show all</a>@endif
    </form>
    <div class="season">
        <div>
            @php($any = false)
            @foreach ($names as $key => $name)
                @continue($filter->show !== null && $filter->show !== $key)
                @continue($lists[$key] === [])
                @php($any = true)
                <section aria-labelledby="list-{{ $key }}">
                    <div class="group-head"><h2 id="list-{{ $key }}">{{ $name }}</h2></div>
                    <x-due-list :rows="$lists[$key]" />
                    @if ($counts[$key] > count($lists[$key]))
                        <p class="mt-2">@if ($filter->show === null)<a href="{{ route('season', [...request()->query(), 'show' => $key]) }}">All {{ $counts[$key] }}, {{ lcfirst($name) }}</a>@else The first {{ count($lists[$key]) }} of {{ $counts[$key] }} by closing. Narrow the filter to see the others.@endif</p>
                    @endif
                </section>
            @endforeach
            @unless ($any)
                <p class="mt-4">{{ $filter->isOn() ? 'Nothing is due here under this filter.' : 'Nothing is due now or in the next six weeks.' }} The wall shows when the next windows open.</p>
            @endunless
        </div>
        <section class="wall" aria-labelledby="wall-title">
            <div class="group-head"><h2 id="wall-title">The {{ $filter->zoom->value }} by {{ $filter->by->value }}</h2></div>
            @if ($folded)<p class="soft mb-1">Plants <b>at their best</b> (dark) and <b>open</b> (pale) {{ in_array($filter->zoom->value, ['month', 'week'], true) ? 'each day' : 'each week' }}; tallest bar {{ $peak }}. Open a line for its plants.</p>@else<x-legend />@endif
            @if ($folded)<div class="wall-row months" aria-hidden="true"><span></span><div class="month-names">@foreach ($months as $month)<span style="left: {{ round($month['x'] / $width * 100, 2) }}%">{{ $month['name'] }}</span>@endforeach</div></div>@endif
            @forelse ($wall as $group)
                @if ($group->pressure)
                    <details class="fold" x-data="fold(@js(route('season.group', [$group->key, ...request()->query()])))" @toggle="open">
                        <summary class="wall-row"><span><b>{{ $group->heading }}</b> <span class="soft">{{ $group->plants }}</span></span><x-pressure :pressure="$group->pressure" :peak="$peak" /></summary>
                        <div x-ref="rows" aria-live="polite"><p class="soft">Fetching {{ $group->plants }} rows …</p></div>
                    </details>
                @else
                    <h3>{{ $group->heading }}</h3>
                    <x-wall :months="$months" :width="$width" :rows="$group->rows" :garden="$filter->by !== App\Season\Grouping::Garden" />
                @endif
            @empty
                <p>No plant matches. <a href="{{ route('season') }}">Show all</a>, or <a href="{{ route('gardens.index') }}">go to the gardens</a> to add some.</p>
            @endforelse
        </section>
    </div>
</x-layout>
