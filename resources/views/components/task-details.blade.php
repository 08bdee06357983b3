@props(['task'])
<details @if ($task->handsOff) open @endif><summary>{{ $task->handsOff ? 'What to ask for' : 'Steps' }}</summary>
    <ol class="steps">@foreach ($task->steps as $step)<li>{{ Say::prose($step) }}</li>@endforeach</ol></details>
<details><summary>Why</summary>
    <dl class="reasons">@foreach ($task->reasons as $reason)<dt>{{ $reason->rule }}</dt><dd>{{
        Say::prose($reason->because) }}
        <span class="from">Source: {{ $reason->source }}.</span></dd>@endforeach</dl>
</details>
@if (! $task->handsOff && $task->kit->tools !== [])<details><summary>What to bring, and after</summary><x-kit
    :kit="$task->kit" /></details>@endif
