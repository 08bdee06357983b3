@props(['bowl', 'plant' => null, 'hand' => null, 'taps' => false])
@php($r = $bowl->reach)
@php($path = static fn (array $points, string $end = 'Z') => 'M'.implode('L', array_map(static fn ($s): string =>
    round($s->x).' '.round(-$s->y), $points)).$end)
@php($tones = ['new' => 'p-new', 'last' => 'p-last', 'old' => 'p-old', 'dead' => 'p-dead'])
{{-- The plant from above. Geometry from the core, in mm, y down; signs beside the colours: solid stays, broken goes,
    numbers give the order. --}}
<svg class="drawing bowl" viewBox="{{ round(-$r, 1) }} {{ round(-$r, 1) }} {{ round(2 * $r, 1) }} {{ round(2 * $r,
    1) }}" role="{{ $plant ? 'group' : 'img' }}" aria-label="The plant from above: {{ Say::prose($bowl->says) }}"
    @if ($taps) x-on:click="rim($event)" @endif font-size="{{ round($r / 100, 3) }}">
    <circle class="b-rim" r="{{ round($r * .985, 1) }}"/>
    <g class="b-branches">@foreach ($bowl->branches as $limb)<path class="{{ $limb->goes ? 'p-goes'
        : $tones[$limb->wood] }}" d="{{ $path($limb->outline) }}"/>@endforeach</g>
    <circle class="b-middle" r="{{ round($bowl->middle, 1) }}"/>
    @foreach ($bowl->ways() as $way => $at)
        <text class="b-way" x="{{ round($at->x, 1) }}" y="{{ round($at->y, 1) }}">{{ $way }}</text>
    @endforeach
    @foreach ($bowl->spokes as $spoke)
        @php([$spine, $inHand, $tells] = [$path($spoke->spine, ''), $hand === $spoke->ref, Say::prose($spoke->says)])
        @if ($plant)<a data-stem="{{ $spoke->ref }}" data-focus="spoke-{{ $spoke->ref }}" href="{{ route('stems.show',
            [$plant, 'stem' => $spoke->ref]) }}" aria-label="{{ $tells }}" @if ($inHand) aria-current="true"
            @endif>@endif
            <path class="b-touch" d="{{ $spine }}"/>
            @if ($inHand)<path class="b-hand" d="{{ $spine }}"/>@endif
            <g class="b-stem b-{{ $spoke->kind }}"><title>{{ $tells }}</title>
                @forelse ($spoke->limbs as $limb)<path class="{{ $limb->goes ? 'p-goes' : $tones[$limb->wood] }}"
                    d="{{ $path($limb->outline) }}"/>
                @empty<path class="b-spine" d="{{ $spine }}"/>
                @endforelse
                @if ($spoke->kind === 'next')<path class="b-notch" d="{{ $spine }}"/>
                @elseif ($spoke->kind === 'cut')<path class="b-break" d="{{ $spine }}"/>@endif
            </g>
            @php([$tip, $label, $seal] = [$spoke->tip(), $spoke->label($r), $spoke->seal()])
            <circle class="b-tip b-{{ $spoke->kind }} is-{{ $spoke->age }}" cx="{{ round($tip->x, 1) }}"
                cy="{{ round(-$tip->y, 1) }}" r="{{ round($r * .034, 1) }}"/>
            <text class="b-ref" x="{{ round($label->x, 1) }}" y="{{ round(-$label->y, 1) }}">{{ $spoke->ref }}</text>
            @if ($spoke->order !== null)
                <circle class="b-seal" cx="{{ round($seal->x, 1) }}" cy="{{ round(-$seal->y, 1) }}" r="{{ round($r *
                    .055, 1) }}"/>
                <text class="b-order" x="{{ round($seal->x, 1) }}" y="{{ round(-$seal->y,
                    1) }}">{{ $spoke->order }}</text>
            @endif
        @if ($plant)</a>@endif
    @endforeach
    @foreach ($bowl->rubs as $rub)
        <path class="b-rub" transform="translate({{ round($rub->at->x, 1) }} {{ round(-$rub->at->y,
            1) }}) scale({{ round($r / 100, 3) }})" d="M-4 -4L4 4M4 -4L-4 4"><title>{{
            Say::prose($rub->says) }}</title></path>
    @endforeach
    @if ($bowl->measure !== null)
        <path class="b-measure" d="M{{ round(-$r * .97, 1) }} {{ round($r * .95, 1) }}v{{ round(-$r * .025, 1) }}m0 {{
            round($r * .025, 1) }}h{{ $bowl->measure }}v{{ round(-$r * .025, 1) }}"/>
        <text class="b-way b-length" x="{{ round(-$r * .97 + $bowl->measure / 2, 1) }}" y="{{ round($r * .9,
            1) }}">{{ Say::length($bowl->measure) }}</text>
    @endif
</svg>
