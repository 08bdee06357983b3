@props(['e'])
@php($u = max($e->width, $e->height) / 100)
@php($path = static fn (array $points) => 'M'.implode('L', array_map(static fn ($p): string => round($p->x,
    1).' '.round(-$p->y, 1), $points)))
{{-- From the side, to scale, in mm. Ghost: as it is. Solid: as it stands after the cut. Broken and numbered: goes. --}}
<svg class="drawing elevation" viewBox="{{ round(-$e->width / 2 - 14 * $u, 1) }} {{ round(-$e->height,
    1) }} {{ round($e->width + 38 * $u, 1) }} {{ round($e->height + 5 * $u, 1) }}" role="img"
    aria-label="From the side: {{ $e->says }}" font-size="{{ round($u, 2) }}">
    <line class="e-ground" x1="{{ round(-$e->width / 2 - 12 * $u, 1) }}" x2="{{ round($e->width / 2 + 6 * $u, 1) }}"
        y1="0" y2="0"/>
    @foreach ($e->measure as $mark)
        <line class="e-scale" x1="{{ round(-$e->width / 2 - 5 * $u, 1) }}" x2="{{ round(-$e->width / 2 - 3 * $u, 1) }}"
            y1="{{ -$mark->at }}" y2="{{ -$mark->at }}"/>
        @if ($mark->at > 0)<text class="e-text e-end" x="{{ round(-$e->width / 2 - 6 * $u, 1) }}"
            y="{{ -$mark->at }}">{{ $mark->says }}</text>@endif
    @endforeach
    <line class="e-scale" x1="{{ round(-$e->width / 2 - 4 * $u, 1) }}" x2="{{ round(-$e->width / 2 - 4 * $u, 1) }}"
        y1="0" y2="{{ -$e->measure[count($e->measure) - 1]->at }}"/>
    <path class="e-after" d="{{ $path($e->after) }}Z"/>
    <path class="e-ghost" d="{{ $path($e->ghost) }}"/>
    @foreach ($e->stems as $stem)
        <line class="e-stem e-{{ $stem->goes() ? 'cut' : 'keep' }}" x1="{{ round($stem->line->x1, 1) }}"
            y1="{{ round(-$stem->line->y1, 1) }}" x2="{{ round($stem->keep->x, 1) }}" y2="{{ round(-$stem->keep->y,
            1) }}"/>
        <line class="e-stem e-cut" x1="{{ round($stem->keep->x, 1) }}" y1="{{ round(-$stem->keep->y, 1) }}"
            x2="{{ round($stem->line->x2, 1) }}" y2="{{ round(-$stem->line->y2, 1) }}"/>
        @if ($stem->order !== null)
            <circle class="b-seal" cx="{{ round($stem->seal->x, 1) }}" cy="{{ round(-$stem->seal->y, 1) }}"
                r="{{ round(3 * $u, 1) }}"/>
            <text class="e-order" x="{{ round($stem->seal->x, 1) }}" y="{{ round(-$stem->seal->y,
                1) }}">{{ $stem->order }}</text>
        @endif
    @endforeach
    @foreach ($e->ticks as $tick)
        <line class="e-tick" x1="{{ round(-1.8 * $u, 1) }}" x2="{{ round(1.8 * $u, 1) }}" y1="0" y2="0"
            transform="translate({{ round($tick->at->x, 1) }} {{ round(-$tick->at->y,
            1) }}) rotate({{ $tick->angle }})"/>
    @endforeach
    @if ($e->cutMm !== null)
        <line class="e-cutline" x1="{{ round(-$e->width / 2 - 2 * $u, 1) }}" x2="{{ round($e->width / 2, 1) }}"
            y1="{{ -$e->cutMm }}" y2="{{ -$e->cutMm }}"/>
        <text class="e-text e-rust" x="{{ round($e->width / 2 + 2 * $u, 1) }}" y="{{ -$e->cutMm }}">cut
            {{ \App\Support\Say::length($e->cutMm) }}</text>
    @endif
    @if ($e->clearMm !== null)
        <line class="e-cutline" x1="{{ round(-$e->width / 2 - 2 * $u, 1) }}" x2="{{ round($e->width / 2, 1) }}"
            y1="{{ -$e->clearMm }}" y2="{{ -$e->clearMm }}"/>
        <text class="e-text e-rust" x="{{ round($e->width / 2 + 2 * $u, 1) }}" y="{{ -$e->clearMm }}">clear to
            {{ \App\Support\Say::length($e->clearMm) }}</text>
    @endif
    @if ($e->flowersMm !== null)
        <path class="e-flowers" d="M{{ round(-$e->width / 2, 1) }} {{ -$e->flowersMm }}H{{ round($e->width / 2, 1) }}"/>
        <text class="e-text e-bloom" x="{{ round($e->width / 2 + 2 * $u, 1) }}" y="{{ -$e->flowersMm }}">flowers
            {{ \App\Support\Say::length($e->flowersMm) }}</text>
    @endif
</svg>
