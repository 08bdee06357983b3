@foreach ($at('tasks') ?? [] as $index => $task)
    <fieldset><legend>{{ $task['name'] }}</legend>
        <div class="row">
            <div class="col-md-8"><x-field :name="'tasks['.$index.'][name]'" label="Task"
                :value="$task['name']" required /></div>
            <div class="col-md-4"><x-field :name="'tasks['.$index.'][minutes][base]'"
                label="Minutes, for a plant of no size" :value="data_get($task, 'minutes.base')"
                inputmode="numeric" /></div>
        </div>
        @foreach (App\Knowledge\KindForm::windows($entry) as [$path, $of, $when])
            @continue($of !== 'tasks.'.$index)
            @if ($when !== '')<p class="mb-1"><b>Where {{ $when }}</b></p>@endif
            <div class="row">
                @foreach (App\Knowledge\KindForm::EDGES as $edge => $label)<div
                    class="col-md-6 col-xl-3"><x-field :name="$name($path.'.'.$edge)" :label="$label"
                    :value="$at($path.'.'.$edge)" required /></div>@endforeach
                <div class="col-12"><x-field :name="$name($path.'.because')" label="Because"
                    :value="$at($path.'.because')" required /></div>
            </div>
        @endforeach
    </fieldset>
@endforeach
