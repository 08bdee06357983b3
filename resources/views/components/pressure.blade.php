@props(['pressure', 'peak'])
{{-- How many of a group's tasks are open, and at their best, week by week, as two paths. Counts and geometry from the
    core. --}}
<svg class="drawing" viewBox="0 0 {{ $pressure->width }} 30" preserveAspectRatio="none" role="img"
    aria-label="{{ $pressure->says }}"><path class="d-open" d="{{ $pressure->path('open', $peak, 27) }}"
    vector-effect="non-scaling-stroke"/><path class="d-best" d="{{ $pressure->path('best', $peak,
    27) }}"/>@if ($pressure->today !== null)<line class="d-today" x1="{{ $pressure->today }}"
    x2="{{ $pressure->today }}" y1="0" y2="30" vector-effect="non-scaling-stroke"/>@endif</svg>
