@props(['row', 'task'])
@use('PruningHook\Core\Planning\Urgency')
{{-- A task that is not the next, as a row that unfolds. --}}
<details class="task">
    <summary><b>{{ $task->name }}</b> <x-urgency :due="$row->due" /> <span class="soft">Best
        {{ Say::date($task->window->bestFrom) }} to {{ Say::date($task->window->bestTo) }}</span></summary>
    <p class="mb-0">Open {{ Say::date($task->window->opens) }} to {{ Say::date($task->window->closes) }}.
        @if ($task->handsOff)<b>An arborist's job: it {{ $task->handsOff }}.</b>@else{{ $task->method }}, about
        {{ Say::minutes($task->minutes) }}.@endif</p>
    <x-amounts :amounts="$task->amounts" />
    <ul class="cautions">@foreach ($task->cautions as $caution)<li>{{ Say::prose($caution) }}</li>@endforeach</ul>
    <x-task-details :task="$task" />
    <p class="mb-0 mt-2">
        @if ($row->visit)
            Planned for <a href="{{ route('visits.show', $row->visit) }}">{{ Say::date($row->visit->on) }}</a>.
        @elseif ($row->due->loggedOn && $row->due->urgency === Urgency::Done)
            Done on {{ Say::date($row->due->loggedOn) }}.
        @elseif (! $task->handsOff)
            @can('plan', $row->plant->garden)<a class="btn btn-outline-primary" href="{{ route('visits.create',
                [$row->plant->garden, 'tasks' => [(string) $row->choice()]]) }}">Plan a visit</a>@endcan
        @endif
    </p>
</details>
