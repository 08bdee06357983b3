@props(['days', 'plant' => null])
{{-- What every day of the year is to a plant, days alike together. --}}
<details class="days-of-year"><summary>Every day of the year</summary>
    <ul>
        @foreach ($days as $run)
            <li class="is-{{ $run->state->value }}">
                <span class="from-to">@if ($plant)<a href="{{ route('plants.show', [$plant, 'cut' => (string)
                    $run->from]) }}#cut">{{ Say::date($run->from) }} to
                    {{ Say::date($run->to) }}</a>@else{{ Say::date($run->from) }} to
                    {{ Say::date($run->to) }}@endif</span>
                <span><b>{{ ucfirst($run->state->inWords()) }}</b>: {{ $run->why() }}</span>
            </li>
        @endforeach
    </ul>
</details>
