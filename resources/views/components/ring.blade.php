@props(['ring', 'label', 'heart'])
{{-- The plant's year as a growth ring, January at the top. Geometry from the core, in mm. --}}
<svg class="drawing" viewBox="-104 -104 208 208" role="img" aria-label="{{ $label }}">
    <circle class="d-line" r="86"/>
    @for ($week = 0; $week < 52; $week++)
        <line class="d-line" y1="-86" y2="{{ $week % 13 === 0 ? -91 : -88 }}" transform="rotate({{ $week * 360 /
            52 }})"/>
    @endfor
    @foreach ($ring->months() as $month)
        <text class="d-text" text-anchor="middle" dominant-baseline="central" x="{{ $month['at']->x }}"
            y="{{ $month['at']->y }}">{{ $month['label'] }}</text>
    @endforeach
    @foreach ($ring->sectors as $sector)
        <path class="d-{{ $sector->kind }}" d="{{ $sector->outline() }}"><title>{{ $sector->says }}</title></path>
    @endforeach
    @foreach ($ring->hooks as $degrees)
        <path class="d-hook" d="M0 -85v-8q0-4 3-4t3 4" transform="rotate({{ $degrees }})"/>
    @endforeach
    <line class="d-today" y1="-14" y2="-92" transform="rotate({{ $ring->today }})"/>
    @foreach (explode(' at ', $heart) as $line)<text class="d-heart" dominant-baseline="central"
        y="{{ str_contains($heart, ' at ') ? ($loop->first ? -6 : 6) : 0 }}">{{ $loop->first ? $line
        : 'at '.$line }}</text>@endforeach
</svg>
