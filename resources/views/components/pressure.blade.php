@props(['pressure', 'peak'])
@php($tall = static fn (int $plants) => \PruningHook\Core\Drawing\Pressure::height($plants, $peak, 27))
{{-- How many of a group's plants are open, and at their best, week by week. Counts from the core. --}}
<svg class="drawing" viewBox="0 0 {{ $pressure->width }} 30" preserveAspectRatio="none" role="img" aria-label="{{ $pressure->says }}">
    @foreach ($pressure->steps as $step)
        @if ($step['open'] > 0)
            <rect class="d-open" x="{{ round($step['x'] + .4, 2) }}" y="{{ 29 - $tall($step['open']) }}" width="{{ round($step['width'] - .8, 2) }}" height="{{ $tall($step['open']) }}" vector-effect="non-scaling-stroke"><title>{{ $step['from']->inWords() }}: {{ $step['open'] }} open, {{ $step['best'] }} at their best</title></rect>
            <rect class="d-best" x="{{ round($step['x'] + .4, 2) }}" y="{{ 29 - $tall($step['best']) }}" width="{{ round($step['width'] - .8, 2) }}" height="{{ $tall($step['best']) }}"><title>{{ $step['from']->inWords() }}: {{ $step['open'] }} open, {{ $step['best'] }} at their best</title></rect>
        @endif
    @endforeach
    @if ($pressure->today !== null)<line class="d-today" x1="{{ $pressure->today }}" x2="{{ $pressure->today }}" y1="0" y2="30" vector-effect="non-scaling-stroke"/>@endif
</svg>
