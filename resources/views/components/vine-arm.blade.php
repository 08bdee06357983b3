@props(['arm'])
@php($u = $arm->width / 100)
{{-- A stretch of a vine's arm, to scale, in mm: canes solid, insurance dotted, the rough mark and the final one. --}}
<svg class="drawing vine-arm" viewBox="0 {{ -$arm->height }} {{ $arm->width }} {{ round($arm->height + 6 * $u, 1) }}" role="img" aria-label="{{ ucfirst($arm->says) }}" style="--u: {{ round($u, 2) }}px">
    <line class="w-main" x1="0" x2="{{ $arm->width }}" y1="{{ round($u, 1) }}" y2="{{ round($u, 1) }}"/>
    @foreach ($arm->canes as $cane)
        <line class="v-cane @if ($cane['insurance']) is-insurance @endif" x1="{{ round($cane['x1'], 1) }}" y1="0" x2="{{ round($cane['x2'], 1) }}" y2="{{ round(-$cane['y2'], 1) }}"/>
        @foreach ($cane['nodes'] as $node)<circle class="w-bud" cx="{{ round($node['x'], 1) }}" cy="{{ round(-$node['y'], 1) }}" r="{{ round(.6 * $u, 1) }}"/>@endforeach
        <line class="v-rough" x1="{{ round(-1.6 * $u, 1) }}" x2="{{ round(1.6 * $u, 1) }}" y1="0" y2="0" transform="translate({{ round($cane['rough']['x'], 1) }} {{ round(-$cane['rough']['y'], 1) }}) rotate(-30)"/>
        @if ($cane['final'])<line class="e-tick" x1="{{ round(-1.8 * $u, 1) }}" x2="{{ round(1.8 * $u, 1) }}" y1="0" y2="0" transform="translate({{ round($cane['final']['x'], 1) }} {{ round(-$cane['final']['y'], 1) }}) rotate(-30)"/>@endif
    @endforeach
    <text class="e-text" x="{{ round(2 * $u, 1) }}" y="{{ round(-$arm->canes[0]['rough']['y'] - 3.5 * $u, 1) }}">rough pass: {{ $arm->roughNodes }} nodes</text>
    <text class="e-text e-rust" x="{{ round(2 * $u, 1) }}" y="{{ round(-($arm->canes[0]['final']['y'] ?? 0) - 3 * $u, 1) }}">final: {{ $arm->finalNodes }}</text>
</svg>
