<div class="judged">
    @if ($survey->stems === [])
        <p class="mt-3">No stem is surveyed yet. Stand over the plant and tap the picture once for each stem, where
            it goes; then say how thick and how old it is. Every tap is kept at once.</p>
        @if ($last && $may)
            <form method="post" action="{{ route('stems.update', $plant) }}" class="no-print">@csrf
                @method('put')<input type="hidden" name="op" value="carry"><button class="btn btn-quiet"
                data-focus="carry">Begin with the stems of {{ $last }}</button></form>
        @endif
    @else
        <p>{{ $inWords }}</p>
        @foreach ($judged->told as $told)<p class="wrong-note"><b>{{ $told }}</b></p>@endforeach
        <h2>Cuts, in order</h2>
        @if ($judged->cuts === [])<p>Nothing {{ $survey->cut === [] ? 'has' : 'more has' }} to go.</p>@endif
        <x-cuts :cuts="$judged->cuts" :plant="$plant" />
        <h2>What stays</h2>
        <ul class="stays">
            @foreach ($judged->kept as $kept)
                <li><a data-stem="{{ $kept->stem->ref }}" href="{{ route('stems.show', [$plant, 'stem' =>
                    $kept->stem->ref]) }}">Stem {{ $kept->stem->ref }}</a>: {{
                        Say::prose($kept->because) }}.@if ($kept->treat)
                    {{ $kept->treat }}@endif @if ($kept->replacedBy)<b>Stem {{ $kept->replacedBy }} takes its
                    place.</b>@endif</li>
            @endforeach
        </ul>
        @if ($judged->rubs !== [])
            <h2>Rubs</h2>
            <ul>@foreach ($judged->rubs as $rub)<li>Stems {{ $rub->a }} and {{ $rub->b }}:
                {{ $rub->inWords() }}.</li>@endforeach</ul>
        @endif
        @if ($may)
            <form method="post" action="{{ route('stems.update', $plant) }}"
                class="d-flex gap-2 flex-wrap align-items-end mt-3 no-print">
                @csrf @method('put')<input type="hidden" name="op" value="aim">
                <div class="to-9"><label class="soft" for="keep">Stems wanted</label><input
                    class="form-control" type="number" id="keep" name="keep" value="{{ $row->state['keep'] }}"
                    placeholder="{{ $judged->aim->keep }}"></div>
                <div class="to-9"><label class="soft" for="budget">May go, %</label><input
                    class="form-control" type="number" id="budget" name="budget" value="{{ $row->state['budget'] }}"
                    placeholder="{{ $judged->aim->budgetPercent }}"></div>
                <button class="btn btn-quiet">Assess again</button>
            </form>
            @if ($tasks->isNotEmpty())
                <form method="post" action="{{ route('stems.plan', $plant) }}"
                    class="d-flex gap-2 flex-wrap align-items-end mt-3 no-print" data-leave>
                    @csrf
                    <div><label class="soft" for="task">Put this on the sheet of</label><select class="form-select"
                        id="task" name="task">@foreach ($tasks as $task)<option
                        value="{{ $task->id }}">{{ $task->prescribed->name }},
                        {{ Say::date($task->visit->on) }}</option>@endforeach</select></div>
                    <button class="btn btn-primary">Save as the cut plan</button>
                </form>
            @endif
        @endif
    @endif
</div>
