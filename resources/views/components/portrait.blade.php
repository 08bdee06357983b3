@props(['p', 'name', 'pick' => null, 'picked' => null, 'cutMm' => null, 'flowersMm' => null])
@use('App\Support\Say')
@use('PruningHook\Core\Drawing\Portrait')
@use('PruningHook\Core\Drawing\View')
@php($u = max($p->width, $p->height) / 100)
@php($r = static fn (float $mm): float => round($mm, 1))
@php($path = static fn (array $points, string $end = 'Z') => 'M'.implode('L', array_map(static fn ($s): string =>
    round($s->x).' '.round(-$s->y), $points)).$end)
@php($isAbove = $p->view === View::Above)
@php([$left, $half, $top] = [$p->left, $p->left + $p->width, $p->bottom + $p->height])
@php($flowersMm ??= $p->flowersMm)
@php($right = $isAbove || $p->bottom !== 0 ? 4 * $u : ($p->hasPerson ? 4 * $u + 520 : 16 * $u))
@php($t = count($p->marks->ticks) > 20 ? .6 * $u : 1.3 * $u)
{{-- To scale, in mm, y down. The tone is the age of the wood; what goes is broken and rust, with its order. --}}
<svg class="drawing portrait{{ $p->isNear() ? ' is-near' : '' }}"
    viewBox="{{ $r($left - 16 * $u) }} {{ -$top }} {{ $r($p->width + 16 * $u + $right) }} {{ $r($p->height
    + ($isAbove ? 0 : 4 * $u)) }}"
    role="{{ $pick ? 'group' : 'img' }}" aria-label="{{ $name }}: {{
        Say::prose($p->says) }}" font-size="{{ round($u, 2) }}">
    @foreach ($p->measure as $mark)
        <line class="e-scale" x1="{{ $r($left - 4 * $u) }}" x2="{{ $r($left - 2 * $u) }}" y1="{{ -$mark->at }}"
            y2="{{ -$mark->at }}"/>
        @if ($mark->at > 0)<text class="e-text e-end" x="{{ $r($left - 5 * $u) }}"
            y="{{ -$mark->at }}">{{ Say::prose($mark->says) }}</text>@endif
    @endforeach
    @foreach ($p->trained->wires as $wire)<line class="p-wire" x1="{{ $r($left - 2 * $u) }}"
        x2="{{ $r($half + 2 * $u) }}" y1="{{ -$wire }}" y2="{{ -$wire }}"/>@endforeach
    @if ($p->mass !== [])<path class="p-mass" d="{{ $path($p->mass) }}"/>@endif
    @foreach ($p->limbs as $limb)
        @php($class = $limb->goes ? 'p-goes' : ($limb->isInsurance ? 'p-insurance' : ['new' => 'p-new',
            'last' => 'p-last', 'old' => 'p-old', 'dead' => 'p-dead'][$limb->wood]))
        @if ($pick !== null && $limb->axis !== null)<a href="{{ $pick.$limb->axis }}"
            data-axis="{{ $limb->axis }}" tabindex="-1" aria-label="{{ $limb->axis }}"><path class="p-touch"
            d="{{ $path($limb->spine, '') }}"/>@endif
        <path @class([$class, 'is-picked' => $picked === $limb->axis && $picked !== null])
            d="{{ $path($limb->outline) }}"/>
        @if ($pick !== null && $limb->axis !== null)</a>@endif
    @endforeach
    @foreach ($p->trained->ties as $tie)<ellipse class="p-tie" cx="{{ $r($tie->x) }}" cy="{{ $r(-$tie->y) }}"
        rx="{{ $r(.8 * $u) }}" ry="{{ $r(1.2 * $u) }}"/>@endforeach
    @foreach ($p->marks->buds as $bud)<circle class="p-bud" cx="{{ $r($bud->x) }}" cy="{{ $r(-$bud->y) }}"
        r="{{ $r(.4 * $t) }}"/>@endforeach
    @foreach ($p->marks->ticks as $tick)<line class="e-tick" x1="{{ $r(-$t) }}" x2="{{ $r($t) }}" y1="0"
        y2="0" transform="translate({{ $r($tick->at->x) }} {{ $r(-$tick->at->y) }}) rotate({{ $tick->angle }})"/>
    @endforeach
    @if ($flowersMm !== null)<line class="p-line" x1="{{ $r($left) }}" x2="{{ $r($half) }}"
        y1="{{ -$flowersMm }}" y2="{{ -$flowersMm }}"/><text class="e-text e-bloom e-end"
        x="{{ $r($half) }}" y="{{ $r(-$flowersMm - 2 * $u) }}">flowers {{ Say::length($flowersMm) }}</text>@endif
    @foreach ($p->flowers as $flower)<path class="p-flower" transform="translate({{ $r($flower->x) }} {{
        $r(-$flower->y) }}) scale({{ round(.012 * $u, 3) }})" d="M0 -100L30 -30L100 0L30 30L0 100L-30 30L-100 0L-30
        -30Z"/>@endforeach
    @if ($cutMm !== null)<line class="e-cutline" x1="{{ $r($left - 2 * $u) }}" x2="{{ $r($half) }}"
        y1="{{ -$cutMm }}" y2="{{ -$cutMm }}"/><text class="e-text e-rust e-end" x="{{ $r($half) }}"
        y="{{ $r(-$cutMm - 2 * $u) }}">cut {{ Say::length($cutMm) }}</text>@endif
    @foreach ($p->marks->seals as $seal)@if ($seal->isAside())<line class="b-lead" x1="{{ $r($seal->at->x) }}"
        y1="{{ $r(-$seal->at->y) }}" x2="{{ $r($seal->cut->x) }}" y2="{{ $r(-$seal->cut->y) }}"/>@endif @endforeach
    @foreach ($p->marks->seals as $seal)<circle class="b-seal" cx="{{ $r($seal->at->x) }}" cy="{{ $r(-$seal->at->y) }}"
        r="{{ $r(2.6 * $u) }}"/><text class="e-order" x="{{ $r($seal->at->x) }}"
        y="{{ $r(-$seal->at->y) }}">{{ $seal->number }}</text>@endforeach
    @if (! $isAbove && $p->bottom === 0)
        @if ($p->hasPerson)<path class="p-person" transform="translate({{ $r($half + 3 * $u + 240) }} 0)" d="M-110
            -1590a110 110 0 1 0 220 0a110 110 0 1 0 -220 0M-50 -1440L50 -1440L170 -1380L220 -920L160 -900L110
            -1220L110 -840L80 0L10 0L0 -780L-10 0L-80 0L-110 -840L-110 -1220L-160 -900L-220 -920L-170 -1380Z"/>
        @else<path class="p-rule" d="M{{ $r($half + 4 * $u) }} 0v{{ -Portrait::RULE_MM }}m{{ $r(-$u) }} 0h{{ $r(2 * $u)
            }}m{{ $r(-$u) }} 100h{{ $r($u) }}m{{ $r(-$u) }} 100h{{ $r($u) }}"/><text class="e-text"
            x="{{ $r($half + 6 * $u) }}" y="{{ -Portrait::RULE_MM / 2 }}">{{ Say::prose('30 cm') }}</text>@endif
        <line class="e-ground" x1="{{ $r($left - 6 * $u) }}" x2="{{ $r($half + $right - $u) }}" y1="0" y2="0"/>
    @endif
</svg>
