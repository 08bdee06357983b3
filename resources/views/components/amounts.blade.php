@props(['amounts'])
@if ($amounts !== [])
    <ul class="amounts">
        @foreach ($amounts as $amount)
            <li><b>{{ Say::amount($amount) }}</b><span>{{ $amount->what }}@if ($amount->min !==
                $amount->max), aim at {{ Say::target($amount) }}@endif</span></li>
        @endforeach
    </ul>
@endif
