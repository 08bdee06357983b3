@props(['arm'])
@php($u = $arm->width / 100)
{{-- A stretch of a vine's arm, to scale, in mm: canes solid, insurance dotted, the rough mark and the final one. --}}
<svg class="drawing vine-arm" viewBox="0 {{ -$arm->height }} {{ round($arm->width + 31 * $u, 1) }} {{ round($arm->height
    + 6 * $u, 1) }}" role="img" aria-label="{{ ucfirst($arm->says) }}" font-size="{{ round($u, 2) }}">
    <line class="w-main" x1="0" x2="{{ $arm->width }}" y1="{{ round($u, 1) }}" y2="{{ round($u, 1) }}"/>
    @foreach ($arm->canes as $cane)
        <line class="v-cane @if ($cane->insurance) is-insurance @endif" x1="{{ round($cane->line->x1, 1) }}" y1="0"
            x2="{{ round($cane->line->x2, 1) }}" y2="{{ round(-$cane->line->y2, 1) }}"/>
        @foreach ($cane->nodes as $node)<circle class="w-bud" cx="{{ round($node->x, 1) }}" cy="{{ round(-$node->y,
            1) }}" r="{{ round(.6 * $u, 1) }}"/>@endforeach
        <line class="v-rough" x1="{{ round(-1.6 * $u, 1) }}" x2="{{ round(1.6 * $u, 1) }}" y1="0" y2="0"
            transform="translate({{ round($cane->rough->x, 1) }} {{ round(-$cane->rough->y, 1) }}) rotate(-30)"/>
        @if ($cane->final)<line class="e-tick" x1="{{ round(-1.8 * $u, 1) }}" x2="{{ round(1.8 * $u, 1) }}" y1="0"
            y2="0" transform="translate({{ round($cane->final->x, 1) }} {{ round(-$cane->final->y,
            1) }}) rotate(-30)"/>@endif
    @endforeach
    @foreach ([[$arm->canes[0]->rough->y, 'rough pass: '.$arm->roughNodes.' nodes', ''], [$arm->canes[0]->final->y ?? 0,
        'final pass: '.$arm->finalNodes.' nodes', 'e-rust']] as [$y, $says, $class])
        <line class="e-scale" x1="{{ round($arm->width - 4 * $u, 1) }}" x2="{{ $arm->width }}" y1="{{ round(-$y, 1) }}"
            y2="{{ round(-$y, 1) }}"/>
        <text class="e-text {{ $class }}" x="{{ round($arm->width + $u, 1) }}" y="{{ round(-$y,
            1) }}">{{ $says }}</text>
    @endforeach
    <text class="e-text" x="{{ round($arm->width + $u, 1) }}" y="{{ round(-$arm->height * .08, 1) }}">dotted: the
        spare</text>
</svg>
