<x-layout :title="'Courses for '.$plant->label">
    <p class="crumbs"><a href="{{ route('gardens.show', $plant->garden) }}">{{ $plant->garden->name }}</a> /
        <a href="{{ route('plants.show', $plant) }}">{{ $plant->label }}</a></p>
    <h1>Courses, three years on</h1>
    @if (count($tasks) > 1)<form class="filters no-print" action="{{ route('plants.courses', $plant) }}"><input
        type="hidden" name="at" value="{{ $at }}"><div><label for="task">With</label><select class="form-select"
        id="task" name="task">@foreach ($tasks as $each)<option value="{{ $each->key }}" @selected($each->key ===
        $task?->key)>{{ $each->name }}</option>@endforeach</select></div><button
        class="btn btn-quiet">Show</button></form>@endif
    <x-moments :at="$at" :link="fn (string $key): string => route('plants.courses', array_filter([$plant,
        'at' => $key, 'task' => $task?->key]))">
        <x-courses :courses="$courses" :left="$left" :at="$at" />
        @if ($schools !== [])
            <h2>By school: {{ lcfirst($task->schools[0]->question->name) }}</h2>
            <p>In force: {{ $task->schools[0]->question->options[$task->schools[0]->option] }},
                {{ $task->schools[0]->level->inWords() }}.</p>
            <x-courses :courses="$schools" :left="$left" :at="$at" />
        @endif
    </x-moments>
    @if ($task === null)<p>No task of the crew this season takes wood that can be drawn: it is shown left
        alone.</p>@endif
    <p class="soft">A model, not a promise: it rests on {{ $restsOn }}. Minutes and risks are common practice for a kind
        that responds {{ $kind->hardCutting->inWords() }} to hard pruning. Green is the last season's wood, brown the
        one before, grey older; broken and rust is what goes. All to one scale, from the south. The keys 1 to 6 turn
        to a moment.</p>
</x-layout>
