<x-layout :title="'Marked: '.$practised->title">
    <p class="crumbs"><a href="{{ route('bench') }}">Practice bench</a> / <a href="{{ route('bench.show',
        [$answer->case_key, 'seed' => $answer->seed]) }}">{{ $practised->title }}</a></p>
    <h1>{{ $answer->score }} of 100</h1>
    <p>{{ $practised->fault }} <b>{{ $practised->exercise->task->name }}</b>, on {{ Say::date($answer->day) }}, by
        {{ $answer->user->name }}: {{ $answer->mark['found'] }} % of what had to go went, {{ $answer->mark['kept']
        }} % is given for the good wood that was kept, {{ $answer->mark['taken'] }} % of its live buds were taken.</p>
    <h2>What the judge says</h2>
    <ul class="remarks">@foreach ($answer->mark['remarks'] as $remark)<li><b>{{ $remark['about'] }}</b>@if (
            $remark['axis'] !== null), <a href="{{ route('bench.show', [$answer->case_key, 'seed' => $answer->seed,
            'cuts' => $answer->cuts, 'pick' => $remark['axis']]) }}">at {{ $remark['axis'] }}</a>@endif:
        {{ $remark['says'] }}</li>@endforeach</ul>
    <h2>Both futures</h2>
    @if ($gone > 0)<p class="wrong-note">The plant has changed since: {{ $gone }} of the cuts cannot be drawn any more.
        The marks stand as they were given.</p>@endif
    <x-moments :at="$at" :link="fn (string $key): string => route('bench.answer', [$answer, 'at' => $key])">
        <x-courses :courses="$courses" :left="$left" :at="$at" />
    </x-moments>
    <p class="soft">The judge's cuts lean to yours where others were as good. Nobody cuts it in the years after. A
        model, not a promise. {{ $practised->exercise->task->name }} is done by: {{ lcfirst(
        $practised->exercise->task->method) }}.</p>
    <details><summary>How the judge would go about it</summary><ol class="steps">@foreach (
        $practised->exercise->task->steps as $step)<li>{{ Say::prose($step) }}</li>@endforeach</ol></details>
    <p class="d-flex gap-2 flex-wrap no-print"><a class="btn btn-primary" href="{{ route('bench.show',
        [$answer->case_key, 'seed' => $answer->seed]) }}">Try it again</a>@if ($practised->plant === null)<a
        class="btn btn-quiet" href="{{ route('bench.show', [$answer->case_key, 'seed' => ($answer->seed + 1)
        % 1000]) }}">Another plant of this case</a>@endif<a class="btn btn-quiet" href="{{ route('bench') }}">The
        bench</a></p>
</x-layout>
