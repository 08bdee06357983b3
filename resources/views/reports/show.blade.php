@use('PruningHook\Core\Drawing\DotMap')
@use('PruningHook\Core\Drawing\PairBars')
@php($columns = App\Office\Reports\HoursColumn::cases())
<x-layout :title="'Season '.$season">
    <p class="crumbs"><a href="{{ route('record') }}">Record</a></p>
    <h1>Season report</h1>
    <form class="filters no-print" action="{{ route('reports') }}">
        <div><label for="season">Season</label><select class="form-select" id="season" name="season">@foreach ($seasons
            as $each)<option @selected($each === $season)>{{ $each }}</option>@endforeach</select></div>
        <button class="btn btn-primary">Show</button>
    </form>
    @if ($report->isUnderWay())
        <x-part name="anew" />
        <div class="said" role="status" x-data="anew"><span>Calculating … This page reloads by
            itself.</span><a class="btn btn-quiet" href="{{ request()->fullUrl() }}">Look again</a></div>
    @endif
    @if ($report->result)
        <div class="d-flex gap-2 align-items-center mb-2"><span class="soft">As it stood on {{
            Say::date(Today::of($report->made_at)) }}, {{ Say::time($report->made_at) }}.</span>
            <form method="post" action="{{ route('reports.store', ['season' => $season]) }}" class="no-print">@csrf
                <button class="btn btn-quiet">Recalculate</button></form></div>
        <h2>Hours, forecast and fact</h2>
        @if ($hours[0]['rows'] === [])<p>Nobody has logged minutes in this season yet.</p>
        @else
            <p class="soft">The upper bar is what was forecast, the lower one what it took; broken and rust where it
                took longer.</p>
            <div class="row">
            @foreach ($hours as $by)
                <section class="col-lg-3 col-md-6" aria-labelledby="by-{{ $by['by']->value }}">
                    <h3 id="by-{{ $by['by']->value }}">{{ $by['by']->heading() }}</h3>
                    <svg class="drawing" viewBox="0 0 100 {{ $by['bars']->height }}" role="img"
                        aria-label="Hours {{ lcfirst($by['by']->heading())
                        }}, forecast and fact; the table says the same">
                        @foreach ($by['bars']->rows as $row)
                            <text class="r-name" x="0" y="{{ $row['y'] + 4.5 }}">{{ $row['name'] }}</text>
                            <rect class="r-thought" x="0" y="{{ $row['y'] + 6 }}" width="{{ $row['thought'] }}"
                                height="2.5"/>
                            <rect class="{{ $row['isOver'] ? 'r-over' : 'r-came' }}" x="0" y="{{ $row['y'] + 9 }}"
                                width="{{ $row['came'] }}" height="2.5"/>
                        @endforeach
                    </svg>
                    <details><summary>The table</summary>
                        <table class="ledger"><thead><tr><th scope="col">{{ ucfirst($by['by']->value) }}</th>
                            @foreach ($columns as $column)<th scope="col">{{ $column->heading() }}</th>@endforeach</tr>
                            </thead><tbody>@foreach ($by['rows'] as $row)<tr><td>{{ $row['name'] }}</td>
                            @foreach ($columns as $column)<td data-th="{{ $column->heading() }}">{{
                                $column->shown((int) $row[$column->value]) }}</td>@endforeach</tr>@endforeach</tbody>
                        </table></details>
                    <p class="no-print"><a href="{{ route('reports.table', [$season, $by['by']->value]) }}">As
                        CSV</a></p>
                </section>
            @endforeach
            </div>
        @endif
        <div class="row">
            @foreach ($tallies as $tally)
                <section class="col-lg-4" aria-labelledby="of-{{ $tally['of'] }}">
                    <h2 id="of-{{ $tally['of'] }}">{{ $tally['title'] }}</h2>
                    @if ($tally['most'] === 0)<p>Nothing of that yet.</p>
                    @else
                        <table class="ledger bars"><tbody>@foreach ($tally['rows'] as [$name, $many])<tr><th
                            scope="row">{{ $name }}</th><td>{{ number_format($many) }}</td><td><progress
                            max="{{ $tally['most'] }}" value="{{ $many }}" aria-hidden="true"></progress></td></tr>
                            @endforeach</tbody></table>
                        <p class="no-print"><a href="{{ route('reports.table', [$season, $tally['of']]) }}">As
                            CSV</a></p>
                    @endif
                </section>
            @endforeach
        </div>
        <h2 id="findings">Findings{{ $finding === null ? '' : ': '.lcfirst($finding) }}</h2>
        @if ($findings === [])<p>No problems found.</p>
        @else
            <div class="row">
                <div class="col-lg-6"><svg class="drawing r-map" viewBox="0 0 {{ DotMap::SIZE }} {{ DotMap::SIZE }}"
                    role="img" aria-label="Where things were found, north up; the table says the same">
                    <rect class="r-ground" x="0" y="0" width="{{ DotMap::SIZE }}" height="{{ DotMap::SIZE }}"/>
                    @foreach ($map->dots as $dot)<circle class="r-dot" cx="{{ $dot['at']->x }}" cy="{{ $dot['at']->y }}"
                        r="{{ $dot['radius'] }}"><title>{{ $dot['label'] }}</title></circle>@endforeach
                    @foreach ($map->dots as $dot)@if ($dot['name'])<text class="r-place" x="{{ $dot['at']->x }}"
                        y="{{ $dot['at']->y + $dot['below'] }}">{{ $dot['name'] }}</text>@endif @endforeach</svg></div>
                <div class="col-lg-6"><table class="ledger"><thead><tr><th scope="col">Finding</th><th scope="col">Times
                    </th></tr></thead><tbody>@foreach ($findings as [$key, $name, $many])<tr><td><a
                    href="{{ route('reports', ['season' => $season, 'finding' => $key]) }}#findings"
                    @if ($name === $finding) aria-current="true" @endif>{{ $name }}</a></td><td
                    data-th="Times">{{ $many }}</td></tr>@endforeach</tbody></table>
                    @if ($finding !== null)<p class="no-print"><a href="{{ route('reports', ['season' => $season])
                        }}#findings">All on the map</a></p>@endif
                    <p class="no-print"><a href="{{ route('reports.table', [$season, 'findings']) }}">As CSV, by
                        garden</a></p></div>
            </div>
        @endif
    @endif
</x-layout>
