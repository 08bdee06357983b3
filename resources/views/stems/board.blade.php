@use('App\Gardens\Stems\StemBoard')
@php($may = auth()->user()?->can('survey', $plant))
<div class="board">
    <div>
        <div class="pic"><x-bowl :bowl="$bowl" :plant="$plant" :hand="$hand?->ref" :taps="$may" /></div>
        <div class="tools">
        @if ($may)
            <form method="post" action="{{ route('stems.update', $plant) }}" class="chips no-print"
                aria-label="Add a stem">
                @csrf @method('put')<input type="hidden" name="op" value="add">
                <span class="w-100 soft">Tap the picture where a stem goes, or add one going</span>
                @foreach (StemBoard::WAYS as $way => $degrees)<button class="chip" name="azimuth_deg"
                    value="{{ $degrees }}" data-focus="way-{{ $way }}">{{ $way }}</button>@endforeach
            </form>
        @endif
        @if ($undo && $may)
            <form method="post" action="{{ route('stems.undo', $plant) }}" class="mt-2 no-print">@csrf
                @if ($hand)<input type="hidden" name="ref" value="{{ $hand->ref }}">@endif<button class="btn btn-quiet"
                data-key="u" data-focus="undo">Undo the last tap</button></form>
        @endif
        </div>
        @if ($survey->stems !== [])<p class="mt-2 mb-0 no-print"><a
            href="{{ route('stems.show', [$plant, 'side' => 1]) }}">As a plant, from the side and from
            above</a></p>@endif
        <div class="signs">
        <ul class="legend" aria-label="Signs used in the drawing">
            <li><svg viewBox="0 0 28 12" font-size="1" aria-hidden="true"><path
                class="p-old" d="M1 3L27 5V7L1 9Z"/></svg>stays</li>
            <li><svg viewBox="0 0 28 12" font-size="1" aria-hidden="true"><path
                class="p-old" d="M1 3L27 5V7L1 9Z"/><path class="b-notch" d="M1 6H27"/></svg>next year</li>
            <li><svg viewBox="0 0 28 12" font-size="1" aria-hidden="true"><g class="b-stem"><path
                class="p-goes" d="M1 3L27 5V7L1 9Z"/><path class="b-break" d="M1 6H27"/></g></svg>goes, in this
                order</li>
            <li><svg viewBox="0 0 28 12" font-size="1" aria-hidden="true"><circle
                class="b-tip b-keep is-young" cx="14" cy="6" r="4"/></svg>this or last year's</li>
            <li><svg viewBox="0 0 28 12" font-size="1" aria-hidden="true"><circle
                class="b-tip b-keep is-old" cx="14" cy="6" r="4"/></svg>older</li>
            <li><svg viewBox="0 0 28 12" font-size="1" aria-hidden="true"><path
                class="b-rub" d="M10 2l8 8m0 -8l-8 8"/></svg>rubs</li>
        </ul>
        </div>
    </div>
    <div>
        @if ($hand && $may)
            <section class="in-hand no-print" aria-labelledby="hand-title">
                <h2 id="hand-title" class="mt-0">Stem {{ $hand->ref }}</h2>
                @foreach ([['lean_deg', 'Lean', StemBoard::LEAN, $hand->leanDeg], ['base_mm', 'Thick as a',
                    StemBoard::THICKNESS, $hand->baseMm], ['age_years', 'Age', StemBoard::AGE,
                    $hand->ageYears]] as [$field, $legend, $choices, $now])
                    <form method="post" action="{{ route('stems.update', $plant) }}" class="chips"
                        aria-label="{{ $legend }}">
                        @csrf @method('put')<input type="hidden" name="op" value="set"><input type="hidden" name="ref"
                            value="{{ $hand->ref }}">
                        <span class="label">{{ $legend }}</span>
                        @foreach ($choices as $word => $value)<button class="chip" name="{{ $field }}"
                            value="{{ $value }}" aria-pressed="{{ ($value === null ? $now === null
                            : $now !== null && (int) $now === $value) ? 'true' : 'false' }}"
                            data-focus="{{ $field }}-{{ $value }}">{{ $word }}</button>@endforeach
                    </form>
                @endforeach
                <form method="post" action="{{ route('stems.update', $plant) }}" class="chips" aria-label="Faults">
                    @csrf @method('put')<input type="hidden" name="op" value="fault"><input type="hidden" name="ref"
                        value="{{ $hand->ref }}">
                    <span class="label">Faults</span>
                    @foreach (PruningHook\Core\Structure\StemFault::cases() as $fault)<button class="chip"
                        name="on[{{ $fault->value }}]" value="{{ $hand->has($fault) ? 0 : 1 }}"
                        aria-pressed="{{ $hand->has($fault) ? 'true' : 'false' }}"
                        data-focus="fault-{{ $fault->value }}">{{ $fault->inWords() }}</button>@endforeach
                </form>
                <form method="post" action="{{ route('stems.update', $plant) }}" class="chips"
                    aria-label="The lead's word">
                    @csrf @method('put')<input type="hidden" name="op" value="word"><input type="hidden" name="ref"
                        value="{{ $hand->ref }}">
                    <span class="label">The lead's word</span>
                    @foreach (['keep' => ['k', 'it stays'], 'remove' => ['x', 'it goes']] as $word => [$key,
                        $name])<button class="chip" name="on[{{ $word }}]" data-key="{{ $key }}"
                        value="{{ ($survey->word[$hand->ref] ?? null) === $word ? 0 : 1 }}"
                        aria-pressed="{{ ($survey->word[$hand->ref] ?? null) === $word ? 'true'
                        : 'false' }}" data-focus="word-{{ $word }}">{{ $name }}</button>@endforeach
                </form>
                <div class="d-flex gap-2 flex-wrap mt-2">
                    <form method="post" action="{{ route('stems.update', $plant) }}">@csrf
                        @method('put')<input type="hidden" name="op" value="cut"><input type="hidden" name="ref"
                        value="{{ $hand->ref }}"><button class="btn btn-primary" data-key="o" name="on"
                        value="{{ $survey->stands($hand) ? 1 : 0 }}" data-focus="cut">{{ $survey->stands($hand)
                        ? 'It is out' : 'It stands again' }}</button></form>
                    <form method="post" action="{{ route('stems.update', $plant) }}">@csrf
                        @method('put')<input type="hidden" name="op" value="drop"><input type="hidden" name="ref"
                        value="{{ $hand->ref }}"><button class="btn btn-quiet" data-focus="drop">Not a stem: strike it
                        off</button></form>
                </div>
                <details><summary>Measured</summary>
                    <form method="post" action="{{ route('stems.update', $plant) }}"
                        class="d-flex gap-2 flex-wrap align-items-end">
                        @csrf @method('put')<input type="hidden" name="op" value="set"><input type="hidden" name="ref"
                            value="{{ $hand->ref }}">
                        @foreach (['azimuth_deg' => ['Way, degrees', round($hand->azimuthDeg)], 'length_mm' =>
                            ['Length, mm', $hand->lengthMm], 'base_mm' => ['Thickness, mm', $hand->baseMm]] as $field =>
                            [$label, $value])
                            <div class="to-8"><label class="soft"
                                for="m-{{ $field }}">{{ $label }}</label><input class="form-control" type="number"
                                id="m-{{ $field }}" name="{{ $field }}" value="{{ $value }}"></div>
                        @endforeach
                        <button class="btn btn-quiet">Set</button>
                    </form>
                </details>
            </section>
        @endif
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
    </div>
</div>
