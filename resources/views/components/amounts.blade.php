@props(['amounts'])
@if ($amounts !== [])
    <ul class="amounts">
        @foreach ($amounts as $amount)
            <li><b>{{ $amount->inWords() }}</b><span>{{ $amount->what }}@if ($amount->min !==
                $amount->max), aim at {{ $amount->targetInWords() }}@endif</span></li>
        @endforeach
    </ul>
@endif
