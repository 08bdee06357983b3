@props(['bowl', 'plant' => null, 'hand' => null, 'taps' => false])
@php($r = $bowl->reach)
{{-- The plant from above. Geometry from the core, in mm; signs beside the colours: solid stays, broken goes, numbers
    give the order. --}}
<svg class="drawing bowl" viewBox="{{ round(-$r, 1) }} {{ round(-$r, 1) }} {{ round(2 * $r, 1) }} {{ round(2 * $r,
    1) }}" role="{{ $plant ? 'group' : 'img' }}" aria-label="The plant from above: {{ $bowl->says }}"
    @if ($taps) x-on:click="rim($event)" @endif font-size="{{ round($r / 100, 3) }}">
    <circle class="b-rim" r="{{ round($r * .985, 1) }}"/>
    <circle class="b-middle" r="{{ round($bowl->middle, 1) }}"/>
    @foreach (['N' => 0, 'E' => 90, 'S' => 180, 'W' => 270] as $way => $degrees)
        <text class="b-way" x="{{ round(sin(deg2rad($degrees)) * $r * .95, 1) }}" y="{{ round(-cos(deg2rad($degrees)) *
            $r * .95, 1) }}">{{ $way }}</text>
    @endforeach
    @foreach ($bowl->spokes as $spoke)
        @php($inHand = $hand === $spoke->ref)
        @if ($plant)<a data-stem="{{ $spoke->ref }}" data-focus="spoke-{{ $spoke->ref }}" href="{{ route('stems.show',
            [$plant, 'stem' => $spoke->ref]) }}" aria-label="{{ $spoke->says }}" @if ($inHand) aria-current="true"
            @endif>@endif
            <line class="b-touch" x1="{{ round($spoke->line->x1, 1) }}" y1="{{ round($spoke->line->y1, 1) }}"
                x2="{{ round($spoke->line->x2, 1) }}" y2="{{ round($spoke->line->y2, 1) }}"/>
            @if ($inHand)<line class="b-hand" x1="{{ round($spoke->line->x1, 1) }}" y1="{{ round($spoke->line->y1,
                1) }}" x2="{{ round($spoke->line->x2, 1) }}" y2="{{ round($spoke->line->y2, 1) }}"/>@endif
            <line class="b-stem b-{{ $spoke->kind }}" x1="{{ round($spoke->line->x1, 1) }}"
                y1="{{ round($spoke->line->y1, 1) }}" x2="{{ round($spoke->line->x2, 1) }}"
                y2="{{ round($spoke->line->y2, 1) }}" stroke-width="{{ round(max($spoke->width, $r / 55),
                1) }}"><title>{{ $spoke->says }}</title></line>
            <circle class="b-tip b-{{ $spoke->kind }} is-{{ $spoke->age }}" cx="{{ round($spoke->line->x2, 1) }}"
                cy="{{ round($spoke->line->y2, 1) }}" r="{{ round($r * .034, 1) }}"/>
            @php([$label, $seal] = [$spoke->label($r), $spoke->seal()])
            <text class="b-ref" x="{{ round($label->x, 1) }}" y="{{ round($label->y, 1) }}">{{ $spoke->ref }}</text>
            @if ($spoke->order !== null)
                <circle class="b-seal" cx="{{ round($seal->x, 1) }}" cy="{{ round($seal->y, 1) }}" r="{{ round($r *
                    .055, 1) }}"/>
                <text class="b-order" x="{{ round($seal->x, 1) }}" y="{{ round($seal->y,
                    1) }}">{{ $spoke->order }}</text>
            @endif
        @if ($plant)</a>@endif
    @endforeach
    @foreach ($bowl->rubs as $rub)
        <path class="b-rub" transform="translate({{ round($rub->at->x, 1) }} {{ round($rub->at->y,
            1) }}) scale({{ round($r / 100, 3) }})" d="M-4 -4L4 4M4 -4L-4 4"><title>{{ $rub->says }}</title></path>
    @endforeach
    <path class="b-measure" d="M{{ round(-$r * .97, 1) }} {{ round($r * .95, 1) }}v{{ round(-$r * .025,
        1) }}m0 {{ round($r * .025, 1) }}h{{ $bowl->measure }}v{{ round(-$r * .025, 1) }}"/>
    <text class="b-way b-length" x="{{ round(-$r * .97 + $bowl->measure / 2, 1) }}" y="{{ round($r * .9,
        1) }}">{{ \App\Support\Say::length($bowl->measure) }}</text>
</svg>
