@props(['cuts', 'plant' => null])
<ol class="cuts">
    @foreach ($cuts as $cut)
        <li><span class="number" aria-hidden="true">{{ $cut->order }}</span><span>@if ($plant)<a
            data-stem="{{ $cut->stem->ref }}" href="{{ route('stems.show', [$plant, 'stem' => $cut->stem->ref]) }}">Stem
            {{ $cut->stem->ref }}</a>@else Stem {{ $cut->stem->ref }}@endif, <b>{{ lcfirst($cut->rule) }}</b>:
            {{ Say::prose($cut->because) }}. {{
                Say::prose(ucfirst($cut->where)) }}. <span class="soft">{{ $cut->free ? 'Free.'
            : round($cut->sharePercent).' % of the sound wood.' }}</span></span></li>
    @endforeach
</ol>
