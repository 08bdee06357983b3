<x-layout :title="'Courses for '.$plant->label">
    <p class="crumbs"><a href="{{ route('gardens.show', $plant->garden) }}">{{ $plant->garden->name }}</a> /
        <a href="{{ route('plants.show', $plant) }}">{{ $plant->label }}</a></p>
    <h1>Compare courses</h1>
    @if ($task === null)
        <p>No task is open to it this season, so there is nothing to compare.</p>
    @else
        <form class="filters no-print" action="{{ route('plants.compare', $plant) }}"><div><label
            for="task">For</label><select class="form-select" id="task" name="task">@foreach ($tasks as $each)<option
            value="{{ $each->key }}" @selected($each->key ===
            $task->key)>{{ $each->name }}</option>@endforeach</select></div><button
            class="btn btn-quiet">Show</button></form>
        <x-courses :courses="$courses" :tallest="$tallest" />
        @if ($schools !== [])
            <h2>By school: {{ lcfirst($task->schools[0]->question->name) }}</h2>
            <p>In force: {{ $task->schools[0]->question->options[$task->schools[0]->option] }},
                {{ $task->schools[0]->level->inWords() }}.</p>
            <x-courses :courses="$schools" :tallest="$tallest" />
        @endif
        <p class="soft">Dotted: at the end of the season. Solid: after the cut. Petals: where the flowers will be. All
            to one scale; figures are common practice for a kind that answers hard cutting
            {{ $kind->hardCutting->value }}.</p>
    @endif
</x-layout>
