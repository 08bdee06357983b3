@props(['w'])
@php($u = max($w->width, $w->height) / 100)
{{-- On its wires, to scale, in mm: wires thin, mains heavy, laterals with buds counted, ties as loops, each cut a
    slanted tick. --}}
<svg class="drawing wall-picture" viewBox="{{ round(-8 * $u, 1) }} {{ round(-$w->height, 1) }} {{ round($w->width + 12 *
    $u, 1) }} {{ round($w->height + 5 * $u, 1) }}" role="img" aria-label="On its wires: {{ $w->says }}"
    font-size="{{ round($u, 2) }}">
    <line class="e-ground" x1="{{ round(-6 * $u, 1) }}" x2="{{ round($w->width + 3 * $u, 1) }}" y1="0" y2="0"/>
    @foreach ($w->wires as $wire)<line class="w-wire" x1="0" x2="{{ $w->width }}" y1="{{ round(-$wire, 1) }}"
        y2="{{ round(-$wire, 1) }}"/><text class="e-text e-end" x="{{ round(-1.5 * $u, 1) }}" y="{{ round(-$wire,
        1) }}">{{ \App\Support\Say::length((int) $wire) }}</text>@endforeach
    @foreach ($w->mains as $main)<line class="w-main" x1="{{ round($main->x1, 1) }}" y1="{{ round(-$main->y1, 1) }}"
        x2="{{ round($main->x2, 1) }}" y2="{{ round(-$main->y2, 1) }}"/>@endforeach
    @foreach ($w->laterals as $lateral)
        <line class="w-lateral" x1="{{ round($lateral->line->x1, 1) }}" y1="{{ round(-$lateral->line->y1, 1) }}"
            x2="{{ round($lateral->line->x2, 1) }}" y2="{{ round(-$lateral->line->y2, 1) }}"/>
        @foreach ($lateral->buds as $bud)<circle class="w-bud" cx="{{ round($bud->x, 1) }}" cy="{{ round(-$bud->y,
            1) }}" r="{{ round(.55 * $u, 1) }}"/>@endforeach
        <line class="e-tick" x1="{{ round(-1.1 * $u, 1) }}" x2="{{ round(1.1 * $u, 1) }}" y1="0" y2="0"
            transform="translate({{ round($lateral->line->x2, 1) }} {{ round(-$lateral->line->y2, 1) }}) rotate(-35)"/>
    @endforeach
    @foreach ($w->ties as $tie)<ellipse class="w-tie" cx="{{ round($tie->x, 1) }}" cy="{{ round(-$tie->y, 1) }}"
        rx="{{ round(.9 * $u, 1) }}" ry="{{ round(1.3 * $u, 1) }}"/>@endforeach
</svg>
