<h2>Common days</h2>
@if ($tasks === [])
    <p>Choose one task or more; the days on which all of them are open appear here.</p>
@elseif ($common === null)
    <p><b>These tasks share no open day.</b> Plan them on separate visits, or give a reason below.</p>
    <ul>@foreach ($tasks as $task)<li>{{ $task->name }}: {{ Say::date($task->window->opens) }} to
        {{ Say::date($task->window->closes) }}</li>@endforeach</ul>
@else
    <p class="mb-1"><b>{{ Say::date($common->from) }} to
        {{ Say::date($common->to) }}</b>@if ($common->bestFrom), best for all
        {{ Say::date($common->bestFrom) }} to
        {{ Say::date($common->bestTo) }}@elseif (count($tasks) > 1), though no day is best for all
        @endif</p>
    <p>{{ count($tasks) }} {{ count($tasks) === 1 ? 'task' : 'tasks' }}, about
        {{ Say::minutes($minutes) }} for one gardener.</p>
    @if ($watched !== [])<p class="asks">Nobody of the crew is signed off for: {{ implode(', ', $watched) }}. Plan it
        when the lead can watch.</p>@endif
    <p><b>{{ Say::longDate($on) }}</b> {{ $common->isBestOn($on) ? 'is a best day.'
        : ($common->contains($on) ? 'is open.' : 'is outside the common days: give a reason below.') }}</p>
    @if (! $common->contains($on) && $common->contains($suggested))
        <p><button type="button" class="btn btn-quiet" @click="take('{{ $suggested }}')">Take
            {{ Say::longDate($suggested) }} instead</button></p>
    @endif
@endif
