@props(['amounts'])
@if ($amounts !== [])
    <ul class="amounts">
        @foreach ($amounts as $amount)
            @php($line = Say::amountLine($amount))
            <li><b>{{ $line['number'] }}</b><span>{{ $line['rest'] }}</span></li>
        @endforeach
    </ul>
@endif
