@props(['amounts'])
@if ($amounts !== [])
    <ul class="amounts">
        @foreach ($amounts as $amount)
            <li><b>{{ \App\Support\Say::amount($amount) }}</b><span>{{ $amount['what'] }}@if ($amount['min'] !==
                $amount['max']), aim at {{ \App\Support\Say::value($amount['target'],
                $amount['unit']) }}@endif</span></li>
        @endforeach
    </ul>
@endif
