@props(['row', 'task'])
@use('PruningHook\Core\Planning\Urgency')
{{-- What comes next, in one glance: its day, how much, why, and what to mind. --}}
<div class="top">
    <h2 id="next-title">{{ $task->name }}</h2>
    <x-urgency :due="$row->due" />
</div>
<p class="mb-2"><b>Best {{ Say::date($task->window->bestFrom) }} to {{ Say::date($task->window->bestTo) }}</b>; open
    {{ Say::date($task->window->opens) }} to {{ Say::date($task->window->closes) }}. @if ($task->handsOff)<b>An
    arborist's job: it {{ $task->handsOff }}.</b>@else{{ $task->method }}, about
    {{ Say::minutes($task->minutes) }}.@endif</p>
<x-amounts :amounts="$task->amounts" />
@foreach (array_slice($task->reasons, 0, 1) as $reason)<p class="mb-2">{{ Say::prose($reason->because) }} <span
    class="soft">({{ $reason->source }})</span></p>@endforeach
<ul class="cautions">@foreach ($task->cautions as $caution)<li>{{ Say::prose($caution) }}</li>@endforeach</ul>
<p class="mb-2">
    @if ($row->visit)
        Planned for <a href="{{ route('visits.show', $row->visit) }}">{{ Say::date($row->visit->on) }}</a>.
    @elseif ($row->due->loggedOn && $row->due->urgency === Urgency::Done)
        Done on {{ Say::date($row->due->loggedOn) }}.
    @endif
</p>
