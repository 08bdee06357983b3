@props(['p', 'name'])
@php($u = max($p->width, $p->height) / 100)
@php($path = static fn (array $points) => 'M'.implode('L', array_map(static fn ($s): string => round($s->x)
    .' '.round(-$s->y), $points)).'Z')
{{-- From the south, to scale, in mm. The tone is the age of the wood; what goes is rust and hatched. --}}
<svg class="drawing portrait" viewBox="{{ round(-$p->width / 2 - 18 * $u) }} {{ -$p->height }} {{ round($p->width
    + 22 * $u) }} {{ round($p->height + 4 * $u) }}" role="img" aria-label="{{ $name }}: {{ $p->says }}"
    font-size="{{ round($u, 2) }}">
    @foreach ($p->measure as $mark)
        <line class="e-scale" x1="{{ round(-$p->width / 2 - 4 * $u) }}" x2="{{ round(-$p->width / 2 - 2 * $u) }}"
            y1="{{ -$mark->at }}" y2="{{ -$mark->at }}"/>
        @if ($mark->at > 0)<text class="e-text e-end" x="{{ round(-$p->width / 2 - 5 * $u) }}"
            y="{{ -$mark->at }}">{{ $mark->says }}</text>@endif
    @endforeach
    @foreach ($p->limbs as $limb)<path class="{{ $limb->goes ? 'p-goes' : ['new' => 'p-new', 'last' => 'p-last',
        'old' => 'p-old', 'dead' => 'p-dead'][$limb->wood] }}" d="{{ $path($limb->outline) }}"/>@endforeach
    @if ($p->flowersMm !== null)<line class="p-line" x1="{{ round(-$p->width / 2) }}" x2="{{ round($p->width / 2) }}"
        y1="{{ -$p->flowersMm }}" y2="{{ -$p->flowersMm }}"/>@endif
    @foreach ($p->flowers as $flower)<circle class="p-flower" cx="{{ round($flower->x) }}"
        cy="{{ round(-$flower->y) }}" r="{{ round(1.1 * $u, 1) }}"/>@endforeach
    <line class="e-ground" x1="{{ round(-$p->width / 2 - 6 * $u) }}" x2="{{ round($p->width / 2 + 3 * $u) }}" y1="0"
        y2="0"/>
</svg>
