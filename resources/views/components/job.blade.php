@props(['sheet', 'number'])
@use('App\Ground\Support\ShapesApart')
@php($task = $sheet->task)
@php($log = $task->log)
@php($bag = $errors->getBag('task'.$task->id))
<section class="leaf job {{ $log ? 'is-done' : '' }}" data-leaf id="task-{{ $task->id }}"
    aria-labelledby="job-{{ $task->id }}" data-label="{{ $task->plant->label }}" data-left="{{ $sheet->mayGo }}"
    data-standing="{{ json_encode($sheet->names()) }}" data-known="{{ json_encode($sheet->known()) }}">
    <h2 id="job-{{ $task->id }}" tabindex="-1">{{ $number }}. {{ $task->plant->label }}</h2>
    <p class="mb-0">{{ $task->prescribed->name }}{{ $task->plant->bed ? ' · '.$task->plant->bed : '' }} ·
        {{ Say::minutes($task->prescribed->minutes) }} · plant {{ $task->plant_id }}</p>
    @foreach ($sheet->left as $left)<p class="mb-0"><b>Left for this year:</b> {{ $left }}</p>@endforeach
    @if ($sheet->rainMm !== null)<p class="mb-0"><b>{{ $sheet->rainMm > 0 ? round($sheet->rainMm, 1).' mm of rain'
        : 'No rain' }} since the cut</b> <span class="soft">(simulated station)</span>.</p>@endif
    @foreach ($sheet->asks as $asked)<p class="asks">Before you start: {{ $asked }}.</p>@endforeach
    <x-amounts :amounts="$task->prescribed->amounts" />
    @if ($task->prescribed->cautions !== [])
        <ul class="cautions">
            @foreach ($task->prescribed->cautions as $caution)<li>{{ Say::prose($caution) }}</li>@endforeach
        </ul>
    @endif
    @if ($sheet->plan)
        {{ $sheet->plan['bowl'] }}
        <x-cuts :cuts="$sheet->plan['judged']->cuts" />
        @foreach ($sheet->plan['judged']->told as $told)<p class="wrong-note mb-1">{{ $told }}</p>@endforeach
    @elseif ($sheet->drawn)
        @php($apart = ShapesApart::of($sheet->drawn, "shapes-$task->id"))
        {{ $apart->picture }}
        @push('shapes'){{ $apart->shapes }}@endpush
    @endif
    <ol class="steps ticks">@foreach ($task->prescribed->steps as $step)<li><label><input type="checkbox"
        data-step="step-{{ $task->id }}-{{ $loop->index }}"><span>{{
            Say::prose($step) }}</span></label></li>@endforeach</ol>
    <p class="links no-print"><a href="{{ route('stems.show', $task->plant) }}">Judge its stems</a><a
        href="{{ route('plants.show', $task->plant) }}">The plant</a>@if ($sheet->looksAtBloom())<a
        href="{{ route('plants.show', $task->plant) }}#bloom">Note its bloom</a>@endif</p>
    @unless ($log)<x-seen :plant="$task->plant" :says="$sheet->says" :at="'seen-'.$task->id" />@endunless
    @if ($task->prescribed->kit?->tools)<details><summary>What to bring, and after</summary><x-kit
        :kit="$task->prescribed->kit" /></details>@endif
    <details><summary>Why</summary>
        <dl class="reasons">@foreach ($task->prescribed->reasons as $reason)
            <dt>{{ $reason->rule }}</dt>
            <dd>{{ Say::prose($reason->because) }} <span class="from">Source: {{ $reason->source }}.</span></dd>
        @endforeach</dl></details>
    @can('log', $task->visit)<x-take-photos :task="$task" />@endcan
    <div data-said><x-said :sheet="$sheet" /></div>
    @can('log', $task->visit)
        <div data-here="{{ $task->id }}" aria-live="polite"></div>
        <details class="log no-print" @if (! $log || $bag->any()) open @endif><summary>{{ $log ? 'Change the log'
            : 'Log it' }}</summary>
            {{-- Started when its page is turned to: a dozen at once keep a slow phone waiting. --}}
            <div x-ignore><x-log-form :sheet="$sheet" :bag="$bag" /></div>
        </details>
    @endcan
</section>
