@props(['row', 'task'])
<article class="task">
    <div class="top">
        <h3>{{ $task->name }}</h3>
        <x-urgency :due="$row->due" />
    </div>
    <p class="mb-0">Best {{ \App\Support\Say::date($task->window->bestFrom) }} to
        {{ \App\Support\Say::date($task->window->bestTo) }}; open {{ \App\Support\Say::date($task->window->opens) }} to
        {{ \App\Support\Say::date($task->window->closes) }}. @if ($task->handsOff)<b>An arborist's job: it
        {{ $task->handsOff }}.</b>@else{{ $task->method }}, about
        {{ \App\Support\Say::minutes($task->minutes) }}.@endif</p>
    <x-amounts :amounts="$task->amounts" />
    <ul class="cautions">@foreach ($task->cautions as $caution)<li>{{ $caution }}</li>@endforeach</ul>
    @if (! $task->handsOff && $task->kit->tools !== [])<details><summary>What to bring, and after</summary><x-kit
        :kit="$task->kit" /></details>@endif
    <details @if ($task->handsOff || ($loop_first ?? false)) open @endif><summary>{{
        $task->handsOff ? 'What to ask for' : 'Steps' }}</summary>
        <ol class="steps">@foreach ($task->steps as $step)<li>{{ $step }}</li>@endforeach</ol></details>
    <details><summary>Why</summary>
        <dl class="reasons">@foreach ($task->reasons as $reason)<dt>{{ $reason->rule }}</dt><dd>{{ $reason->because }}
            <span class="from">Source: {{ $reason->source }}.</span></dd>@endforeach</dl>
    </details>
    <p class="mb-0 mt-2">
        @if ($row->visit)
            Planned for <a href="{{ route('visits.show',
                $row->visit) }}">{{ \App\Support\Say::date($row->visit->on) }}</a>.
        @elseif ($row->due->loggedOn && $row->due->urgency === PruningHook\Core\Planning\Urgency::Done)
            Done on {{ \App\Support\Say::date($row->due->loggedOn) }}.
        @elseif (! $task->handsOff)
            @can('plan', $row->plant->garden)<a class="btn btn-outline-primary" href="{{ route('visits.create',
                [$row->plant->garden, 'tasks' => [(string) $row->choice()]]) }}">Plan a visit</a>@endcan
        @endif
    </p>
</article>
