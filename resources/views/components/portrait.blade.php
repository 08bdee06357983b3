@props(['p', 'name', 'pick' => null, 'picked' => null, 'cutMm' => null, 'flowersMm' => null])
@use('PruningHook\Core\Drawing\PathData')
@use('PruningHook\Core\Drawing\Portrait')
@use('PruningHook\Core\Drawing\View')
@php($u = max($p->width, $p->height) / 100)
@php($r = static fn (float $mm): float => round($mm, 1))
@php($path = new PathData($u))
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
    <g transform="scale({{ $path->grainMm }})" font-size="{{ round($u / $path->grainMm, 2) }}">
    @if ($p->mass !== [])<path class="p-mass" d="{{ $path->closed([$p->mass]) }}"/>@endif
    @if ($pick === null && $picked === null)
        @foreach ($p->layers() as [$tone, $outlines])<path class="p-{{ $tone }}" d="{{ $path->closed($outlines) }}"/>
        @endforeach
    @else
        @foreach ($p->limbs as $limb)
            @if ($pick !== null && $limb->axis !== null)<a href="{{ $pick.$limb->axis }}"
                data-axis="{{ $limb->axis }}" tabindex="-1" aria-label="{{ $limb->axis }}"><path class="p-touch"
                d="{{ $path->open($limb->spine) }}"/>@endif
            <path @class(["p-{$limb->tone()}", 'is-picked' => $picked === $limb->axis && $picked !== null])
                d="{{ $path->closed([$limb->outline]) }}"/>
            @if ($pick !== null && $limb->axis !== null)</a>@endif
        @endforeach
    @endif
    </g>
    @foreach ($p->trained->ties as $tie)<ellipse class="p-tie" cx="{{ round($tie->x) }}" cy="{{ round(-$tie->y)
        }}" rx="{{ $r(.8 * $u) }}" ry="{{ $r(1.2 * $u) }}"/>@endforeach
    <g transform="scale({{ $path->grainMm }})" font-size="{{ round($u / $path->grainMm, 2) }}">
        @if ($p->marks->buds !== [])<path class="p-bud" d="{{ $path->dots($p->marks->buds, .4 * $t) }}"/>@endif
        @if ($p->marks->ticks !== [])<path class="e-tick" d="{{ $path->ticks($p->marks->ticks, $t) }}"/>@endif
        @if ($p->flowers !== [])<path class="p-flower" d="{{ $path->stars($p->flowers, 1.2 * $u) }}"/>@endif
    </g>
    @if ($flowersMm !== null)<line class="p-line" x1="{{ $r($left) }}" x2="{{ $r($half) }}"
        y1="{{ -$flowersMm }}" y2="{{ -$flowersMm }}"/><text class="e-text e-bloom e-end"
        x="{{ $r($half) }}" y="{{ $r(-$flowersMm - 2 * $u) }}">flowers {{ Say::length($flowersMm) }}</text>@endif
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
