@props(['map', 'crews', 'names'])
@php($dashes = ['loop', 'loop dash-1', 'loop dash-2', 'loop dash-3'])
@php($dash = fn (string $crew) => $dashes[(int) array_search((int) $crew, array_keys($crews), true) % 4])
{{-- The week's rounds as loops from the depot; each crew has its own dash, each day its own words below. --}}
<figure class="round-map">
    <svg viewBox="0 0 {{ $map::SIZE }} {{ $map::SIZE }}" role="img" aria-labelledby="round-map-says">
        @foreach ($map->loops as $loop_)
            <polygon class="{{ $dash($loop_['crew']) }}"
                points="{{ $map->depot->x }},{{ $map->depot->y }} @foreach ($loop_['spots'] as $spot){{ $spot->x }},{{
                $spot->y }} @endforeach" />
        @endforeach
        @foreach ($map->gardens as $id => $spot)<circle class="garden" cx="{{ $spot->x }}" cy="{{ $spot->y }}"
            r="1.6" /><text x="{{ $map->isLeft($id) ? $spot->x - 2.6 : $spot->x + 2.6 }}" y="{{ $spot->y + 1.2 }}"
            text-anchor="{{ $map->isLeft($id) ? 'end' : 'start' }}">{{ $names[$id] ?? '' }}</text>@endforeach
        <rect class="depot" x="{{ $map->depot->x - 2 }}" y="{{ $map->depot->y - 2 }}" width="4" height="4" />
    </svg>
    <figcaption id="round-map-says">
        <p class="mb-1">The square is the depot; {{ $map->kmAcross }} km across, north is up.</p>
        <ul class="mb-0">@foreach ($map->loops as $loop_)<li><svg class="dash-key" viewBox="0 0 24 4"
            aria-hidden="true"><line class="{{ $dash($loop_['crew']) }}" x1="0" x2="24" y1="2" y2="2"
                /></svg>{{ $crews[(int) $loop_['crew']] ?? '' }},
            {{ Say::weekday(PruningHook\Core\Calendar\Day::parse($loop_['on'])) }}: {{ count($loop_['spots']) }}
            {{ count($loop_['spots']) === 1 ? 'garden' : 'gardens' }}</li>@endforeach</ul>
    </figcaption>
</figure>
