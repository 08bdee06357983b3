@props(['bars', 'says', 'chosen' => null])
{{-- Load against what there is: a column for each stretch of time, the line at what can be done. --}}
<ol class="load-bars" aria-label="{{ ucfirst($says) }}">
    @foreach ($bars as $bar)
        @php($isChosen = $chosen !== null && $chosen === $bar->week)
        <li @class(['tight' => $bar->isTight(), 'over' => $bar->isOver(), 'chosen' => $isChosen])>
            @if ($bar->week)<a href="{{ route('plan', ['week' => $bar->week]) }}#week">@endif
            <svg viewBox="0 0 20 32" aria-hidden="true"><rect class="there" x="2" y="10" width="16" height="20" /><rect
                class="need" x="2" y="{{ $bar->top() }}" width="16" height="{{ $bar->height() }}" /><line class="can"
                x1="0" x2="20" y1="10" y2="10" /></svg>
            <span class="load-label">{{ $bar->label }}</span><span class="load-hours">{{ $bar->inWords() }}</span>
            @if ($bar->week)</a>@endif
        </li>
    @endforeach
</ol>
