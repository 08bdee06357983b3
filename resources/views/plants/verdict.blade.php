<details class="verdict is-{{ $verdict->state->value }}" id="cut"
    @if (! $verdict->day->equals($today)) open @endif>
    <summary>{{ $verdict->day->equals($today) ? 'If it is cut today'
        : 'If it is cut on '.Say::date($verdict->day) }}: {{ $verdict->state->inWords() }}</summary>
    <dl class="reasons">
        @foreach ($verdict->reasons as $reason)<dt>{{ $reason->rule }}</dt><dd>{{
            Say::prose($reason->because) }}
            <span class="from">Source: {{ $reason->source }}.</span></dd>@endforeach
    </dl>
    @if ($verdict->next)<p class="mb-2">Wait instead for: {{ lcfirst($verdict->next->name) }}, best from
        {{ Say::date($verdict->next->window->bestFrom) }}.</p>@endif
    <form class="d-flex gap-2 align-items-end no-print" action="{{ route('plants.show', $plant) }}#cut">
        <div><label for="cut-day" class="soft">Another day</label><input class="form-control" type="date"
            id="cut-day" name="cut" value="{{ $verdict->day }}"></div>
        <button class="btn btn-quiet">What then?</button>
    </form>
</details>
