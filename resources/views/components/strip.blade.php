@props(['strip'])
{{-- A plant's year unrolled. Geometry from the core, one unit a day. --}}
<svg class="drawing" viewBox="0 0 {{ $strip->width }} 22" preserveAspectRatio="none" role="img"
    aria-label="{{ $strip->says }}">
    @foreach ($strip->bars as $bar)
        @php([$y, $height] = ['closed' => [2, 18], 'bloom' => [16, 5], 'open' => [4, 11], 'best' => [4, 11], 'done' =>
            [4, 11]][$bar->kind])
        <rect class="d-{{ $bar->kind }}" x="{{ $bar->x }}" y="{{ $y }}" width="{{ $bar->width }}" height="{{ $height }}"
            vector-effect="non-scaling-stroke"><title>{{ $bar->says }}</title></rect>
    @endforeach
    @if ($strip->today !== null)
        <line class="d-today" x1="{{ $strip->today }}" x2="{{ $strip->today }}" y1="0" y2="22"
            vector-effect="non-scaling-stroke"/>
    @endif
    @foreach ($strip->hooks as $x)
        <path class="d-hook" d="M{{ $x }} 21v-13q0-5 3-5t3 4" vector-effect="non-scaling-stroke"/>
    @endforeach
</svg>
