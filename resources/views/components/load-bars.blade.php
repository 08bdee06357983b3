@props(['bars', 'says', 'chosen' => null])
{{-- Load against what there is: a column for each stretch of time, the line at what can be done. --}}
<ol class="load-bars" aria-label="{{ ucfirst($says) }}">
    @foreach ($bars as $bar)
        @php($hours = intdiv($bar['need'], 60).' of '.intdiv($bar['can'], 60))
        @php($share = min(1.5, $bar['share']))
        @php($isChosen = $chosen !== null && $chosen === $bar['link'])
        <li @class(['tight' => $bar['share'] > 0.85, 'over' => $bar['share'] > 1, 'chosen' => $isChosen])>
            @if ($bar['link'])<a href="{{ route('plan', ['week' => $bar['link']]) }}#week">@endif
            <svg viewBox="0 0 20 32" aria-hidden="true"><rect class="there" x="2" y="10" width="16" height="20" /><rect
                class="need" x="2" y="{{ round(30 - 20 * $share, 1) }}" width="16"
                height="{{ round(20 * $share, 1) }}" /><line class="can" x1="0" x2="20" y1="10" y2="10" /></svg>
            <span class="load-label">{{ $bar['label'] }}</span><span class="load-hours">{{ $hours }}@if ($bar['share'] >
                1), too much @elseif ($bar['share'] > 0.85), tight @endif</span>
            @if ($bar['link'])</a>@endif
        </li>
    @endforeach
</ol>
