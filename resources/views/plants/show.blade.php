@use('PruningHook\Core\Calendar\Anchor')
<x-layout :title="$plant->label">
    <p class="crumbs"><a href="{{ route('gardens.index') }}">Gardens</a> /
        <a href="{{ route('gardens.show', $plant->garden) }}">{{ $plant->garden->name }}</a>@if ($plant->bed) /
        {{ $plant->bed }}@endif</p>
    <div class="head">
        <div>
            <h1>{{ $plant->label }}</h1>
            <p class="mb-0">{{ $plant->count > 1 ? $plant->count.' × ' : '' }}<a href="{{ route('plant-book.show',
                $kind->id) }}">{{ $kind->name }}</a>, <em>{{ $kind->botanical }}</em>. {{ $kind->about }}</p>
        </div>
        <div class="d-flex gap-2 flex-wrap no-print">
            @if ($crews) @can('plan', $plant->garden)<a class="btn btn-primary" data-key="p"
                href="{{ route('visits.create', [$plant->garden, 'tasks' => $plan]) }}">Plan a visit</a>@endcan @endif
            <a class="btn btn-quiet" data-key="j" href="{{ route('stems.show', $plant) }}">Stems</a>
            <a class="btn btn-quiet" href="{{ route('plants.courses', $plant) }}">Courses</a>
            <a class="btn btn-quiet" href="{{ route('plants.record', $plant) }}">Record</a>
            @if ($task)<a class="btn btn-quiet" href="{{ route('bench.show', 'plant-'.$plant->id) }}">Practise on
                it</a>@endif
            @can('update', $plant)<a class="btn btn-quiet" data-key="e" href="{{ route('plants.edit',
                $plant) }}">Edit</a>@endcan
        </div>
    </div>
    @foreach ([...$faults, ...$putAside] as $says)<div class="said wrong"><span>{{ $says }}</span></div>@endforeach
    @if ($left->isNotEmpty())
        <div class="said"><div><b>Left for this year</b>@foreach ($left as $log)<br>
            {{ $log->leftInWords() }}
            <span class="soft">({{ Say::date($log->on) }})</span>@endforeach</div></div>
    @endif
    <div class="plant">
        <x-part name="drawing" />
        <section class="drawn" @if ($task) x-data="drawing(@js(route('plants.drawing', $plant)))" @endif
            aria-label="{{ $task ? 'Drawn for '.lcfirst($task->name) : 'Drawn' }}">
            <div x-ref="picture">@include('plants.drawing')</div>
            @if ($task)
                <form method="post" action="{{ route('plants.measure', $plant) }}" x-ref="form"
                    x-on:input="redraw()" class="measures no-print">
                    @csrf @method('put')<input type="hidden" name="task" value="{{ $task->key }}">
                    <x-version :of="$plant" />
                    <div><label class="soft" for="m-height">Height, cm</label><input class="form-control"
                        type="number" step="5" id="m-height" name="height_cm" value="{{ $stands->heightMm ?
                        intdiv($stands->heightMm, 10) : '' }}" placeholder="{{ intdiv($kind->typicalHeightMm,
                        10) }}"></div>
                    @if ($task->isCutToFlower())<div><label class="soft" for="m-flowers">Flowers wanted at,
                        cm</label><input class="form-control" type="number" step="5" id="m-flowers"
                        name="flowering_height_cm" value="{{ $plant->flowering_height_mm ?
                        intdiv($plant->flowering_height_mm, 10) : '' }}"></div>@endif
                    @if ($task->countsOldStems())
                        <div><label class="soft" for="m-old">Old stems</label><input class="form-control"
                            type="number" id="m-old" name="stems_old" value="{{ $stands->stems?->old }}"></div>
                        <div><label class="soft" for="m-young">Young stems</label><input class="form-control"
                            type="number" id="m-young" name="stems_young"
                            value="{{ $stands->stems?->young }}"></div>
                    @endif
                    <p class="wrong-note w-100 mb-0" x-show="said" x-cloak x-text="said" aria-live="polite"></p>
                    @can('update', $plant)<button class="btn btn-quiet">Keep</button>@endcan
                    @error('sure')<label class="form-check w-100"><input class="form-check-input" type="checkbox"
                        name="sure" value="1"> <span class="form-check-label">I am sure: it is right as it
                        stands.</span></label>@enderror
                    @foreach (['height_cm', 'flowering_height_cm', 'stems_old', 'stems_young'] as $field)
                        @error($field)<p class="invalid-feedback d-block w-100">{{ $message }}</p>@enderror
                    @endforeach
                </form>
            @endif
        </section>
        <section class="next" aria-labelledby="next-title">
            @if ($next)<x-next :row="$next" :task="$tasks[(string) $next->choice()]" />
            @else<h2 id="next-title">What comes next</h2>
                <p>Nothing is to be done to it in the coming year.</p>@endif
        </section>
        @if ($next)<section class="how" aria-label="How and why"><x-task-details
            :task="$tasks[(string) $next->choice()]" /></section>@endif
        <section class="year" aria-label="Its year">
            <x-ring :ring="$ring"
                :label="'The year of '.$plant->label.': '
                    .collect($ring->sectors)->pluck('says')->unique()->implode('; ')"
                :heart="$verdict->day->equals($today) ? $verdict->state->inWords() : ''" />
            <x-legend :days="true" />
        </section>
    </div>
    <div class="plant-more">
        <div>
            @if ($others !== [])
                <h2>Other tasks, season {{ $season }}</h2>
                @foreach ($others as $row)<x-task :row="$row" :task="$tasks[(string) $row->choice()]" />@endforeach
            @endif
            <details class="verdict is-{{ $verdict->state->value }}" id="cut"
                @if (! $verdict->day->equals($today)) open @endif>
                <summary>{{ $verdict->day->equals($today) ? 'If it is cut today'
                    : 'If it is cut on '.Say::date($verdict->day) }}: {{ $verdict->state->inWords() }}</summary>
                <dl class="reasons">
                    @foreach ($verdict->reasons as $reason)<dt>{{ $reason->rule }}</dt><dd>{{
                        Say::prose($reason->because) }}
                        <span class="from">Source: {{ $reason->source }}.</span></dd>@endforeach
                </dl>
                @if ($verdict->next)<p class="mb-2">Wait instead for: {{ lcfirst($verdict->next->name) }}, best from
                    {{ Say::date($verdict->next->window->bestFrom) }}.</p>@endif
                <form class="d-flex gap-2 align-items-end no-print" action="{{ route('plants.show', $plant) }}#cut">
                    <div><label for="cut-day" class="soft">Another day</label><input class="form-control" type="date"
                        id="cut-day" name="cut" value="{{ $verdict->day }}"></div>
                    <button class="btn btn-quiet">What then?</button>
                </form>
            </details>
            <x-days :days="$days" :plant="$plant" />
            @if ($kind->phenology->has(Anchor::BloomStart))
                <details @if ($errors->bloom->any()) open @endif><summary>At bloom:
                    {{ $blooms === []
                    ? 'nothing is noted yet' : $blooms[0]->season.', '.$blooms[0]->inWords() }}</summary>
                    @foreach ($blooms as $note)<p class="mb-1">{{ $note->season }}:
                        {{ $note->inWords() }}.</p>@endforeach
                    {{-- A link to it unfolds what it stands in. --}}
                    <p class="mb-1" id="bloom">What it does at bloom corrects next year's cut.</p>
                    @can('survey', $plant)
                        <x-bloom-form :plant="$plant" />
                    @endcan
                </details>
            @endif
            <x-seen :plant="$plant" :says="$taps" />
        </div>
        <div>
            <h2>As it stands</h2>
            <dl class="facts">
                <dt>Wood</dt><dd>{{ $kind->wood->inWords() }}</dd>
                <dt>Planted</dt><dd>{{ $plant->planted_on ? Say::date($plant->planted_on) : 'not known' }}</dd>
                @foreach (['Height' => $stands->heightMm, 'Spread' => $plant->spread_mm, 'Run' => $plant->run_mm,
                    'Flowers wanted at' => $plant->flowering_height_mm] as $name => $mm)
                    @if ($mm !== null)<dt>{{ $name }}</dt><dd>{{ Say::length($mm) }}@if ($name === 'Height'
                        && isset($stands->carriedFrom['height']))<br><span
                        class="soft">{{ $stands->carriedFrom['height'] }}</span>@endif</dd>@endif
                @endforeach
                @if ($stands->stems)<dt>Stems</dt><dd>{{ $stands->stems->old }} old, {{ $stands->stems->young }} young
                    @if (isset($stands->carriedFrom['stems']))<br><span
                    class="soft">{{ $stands->carriedFrom['stems'] }}</span>@endif</dd>@endif
                @if ($plant->form)<dt>Form</dt><dd>{{ $plant->form }}</dd>@endif
                @if ($plant->aim)<dt>Aim</dt><dd>{{ $plant->aim }}</dd>@endif
                @if ($seen !== [])<dt>Seen</dt><dd>{{ implode(', ', $seen) }}@if ($plant->state_on)<br><span
                    class="soft">{{ $past ? 'what passes was seen on '.Say::date($plant->state_on)
                        .', last season: look again' : 'on '.Say::date($plant->state_on) }}</span>@endif</dd>@endif
            </dl>
            @if ($plant->notes)<p class="mt-2"><em>{{ $plant->notes }}</em></p>@endif
            <x-budget :years="$budgets" :season="$season" />
            @if ($logs->isEmpty())
                <p class="mb-0">Nothing is logged yet. The record begins with the first visit.</p>
            @else
                <details><summary>Last of the record: {{ Say::date($logs->first()->on) }},
                    {{ lcfirst($logs->first()->visitTask->prescribed->name) }}</summary><x-ledger
                    :logs="$logs" /></details>
                <p class="mt-2 mb-0"><a href="{{ route('plants.record', $plant) }}">The whole record</a></p>
            @endif
        </div>
    </div>
</x-layout>
