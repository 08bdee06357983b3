@props(['chart', 'winter'])
{{-- How warm a site's year is, from midwinter to midwinter, and when its anchors fall. --}}
<figure class="site-year">
    <svg class="drawing" viewBox="-26 -12 {{ $chart::WIDTH + 30 }} {{ $chart::HEIGHT + 30 }}" role="img"
        aria-labelledby="site-year-says">
        @foreach ($chart->lines as $degrees => $y)<line class="d-line" x1="0" x2="{{ $chart::WIDTH }}" y1="{{ $y }}"
            y2="{{ $y }}" /><text class="d-text" text-anchor="end" dominant-baseline="central" x="-4"
            y="{{ $y }}">{{ $degrees }}°</text>@endforeach
        <path class="d-open" d="{{ $chart->growing }}" />
        <path class="warmth" d="{{ $chart->curve }}" />
        @foreach ($chart->months as $month)<text class="d-text" x="{{ $month['x'] }}"
            y="{{ $chart::HEIGHT + 12 }}">{{ $month['label'] }}</text>@endforeach
        @foreach ($chart->marks as $mark)<line class="d-today" x1="{{ $mark['x'] }}" x2="{{ $mark['x'] }}" y1="0"
            y2="{{ $chart::HEIGHT }}" /><text class="d-text" text-anchor="middle" x="{{ $mark['x'] }}"
            y="-4">{{ $mark['key'] }}</text>@endforeach
    </svg>
    <figcaption id="site-year-says"><p class="mb-1">{{ $chart->inWords }}.</p>
        <ul class="mb-0">@foreach ($chart->marks as $mark)<li><b>{{ $mark['key'] }}</b> {{ $mark['says'] }},
            {{ Say::date($mark['on']) }}</li>@endforeach<li>Winter: {{ $winter->value }}</li></ul>
    </figcaption>
</figure>
