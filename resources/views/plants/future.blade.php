@use('App\Support\Say')
@use('PruningHook\Core\Regrowth\Stage')
<x-layout :title="'Three years of '.$plant->label">
    <p class="crumbs"><a href="{{ route('gardens.show', $plant->garden) }}">{{ $plant->garden->name }}</a> /
        <a href="{{ route('plants.show', $plant) }}">{{ $plant->label }}</a></p>
    <h1>Grown on for three years</h1>
    <nav class="moments no-print" aria-label="Which moment">
        @foreach (Stage::NAMES as $key => $name)<a data-key="{{ $loop->iteration }}"
            href="{{ route('plants.future', array_filter([$plant, 'at' => $key, 'task' => $task?->key])) }}"
            @if ($key === $at) aria-current="page" @endif>{{ $name }}</a>@endforeach
    </nav>
    @if (count($tasks) > 1)<form class="filters no-print" action="{{ route('plants.future', $plant) }}"><input
        type="hidden" name="at" value="{{ $at }}"><div><label for="task">With</label><select class="form-select"
        id="task" name="task">@foreach ($tasks as $each)<option value="{{ $each->key }}" @selected($each->key ===
        $task?->key)>{{ $each->name }}</option>@endforeach</select></div><button
        class="btn btn-quiet">Show</button></form>@endif
    <div class="futures">
        @foreach ($courses as $course)
            <section aria-labelledby="f-{{ $loop->index }}">
                <h2 id="f-{{ $loop->index }}">{{ $course['name'] }}</h2>
                <x-portrait :p="$course['portrait']" :name="$course['name'].', '.lcfirst(Stage::NAMES[$at])" />
                <dl class="facts">
                    <dt>Height</dt><dd>{{ Say::length($course['stage']->plant->heightMm()) }}</dd>
                    <dt>Stems</dt><dd>{{ count($course['stage']->plant->stems()) }}</dd>
                    @if ($course['portrait']->flowersMm !== null)<dt>Flowers</dt>
                        <dd>about {{ Say::length($course['portrait']->flowersMm) }} up{{ $loop->first
                        || $course['flowers'] === '' ? '' : ', '.$course['flowers'] }}</dd>@endif
                    @if ($course['stage']->removedPercent > 0)<dt>Taken</dt><dd>{{ $course['stage']->removedPercent
                        }} % of its live buds in that season</dd>@endif
                    @if ($course['minutes'] > 0)<dt>Time</dt><dd>{{ Say::minutes($course['minutes']) }} a
                        year</dd>@endif
                </dl>
            </section>
        @endforeach
    </div>
    @if ($task === null)<p>No task of the crew this season takes wood that can be drawn: it is shown left
        alone.</p>@endif
    <p class="soft">A model, not a promise: it rests on {{ $restsOn }}. Green is this season's wood, brown last
        season's, grey older; rust and hatched is what goes. All to one scale, seen from the south. The keys 1 to 6 turn
        to a moment.</p>
</x-layout>
