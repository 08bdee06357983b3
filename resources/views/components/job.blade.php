@props(['task', 'number', 'open' => false, 'says' => [], 'plan' => null])
@php
    $bag = $errors->getBag('task'.$task->id);
    $mine = $bag->any();
    $log = $task->log;
    $said = static fn (string $key, mixed $kept) => $mine ? old($key) : $kept;
    $outcome = $said('outcome', $log?->outcome->value);
    $logged = collect($log?->amounts ?? [])->keyBy('what');
@endphp
<section class="job {{ $log ? 'is-done' : '' }}" id="task-{{ $task->id }}" aria-labelledby="job-{{ $task->id }}">
    <h2 id="job-{{ $task->id }}">{{ $number }}. {{ $task->plant->label }}</h2>
    <p class="mb-0">{{ $task->prescribed->name }}{{ $task->plant->bed ? ' · '.$task->plant->bed : '' }} ·
        {{ \App\Support\Say::minutes($task->prescribed->minutes) }}</p>
    <x-amounts :amounts="$task->prescribed->amounts" />
    <ul class="cautions">@foreach ($task->prescribed->cautions as $caution)<li>{{ $caution }}</li>@endforeach</ul>
    @if ($plan)
        <details class="cut-plan" @if (! $log) open @endif><summary>Cut plan, stem by stem</summary>
            <x-bowl :bowl="$plan['bowl']" />
            <x-cuts :cuts="$plan['judged']->cuts" />
            @foreach ($plan['judged']->told as $told)<p class="wrong-note mb-1">{{ $told }}</p>@endforeach
        </details>
    @endif
    <p class="links no-print"><a href="{{ route('stems.show', $task->plant) }}">Judge its stems</a><a
        href="{{ route('plants.show', $task->plant) }}">The plant</a></p>
    @unless ($log)<x-seen :plant="$task->plant" :says="$says" />@endunless
    @if ($task->prescribed->kit)<details><summary>What to bring, and after</summary><x-kit
        :kit="$task->prescribed->kit" /></details>@endif
    <details><summary>Steps</summary>
        <ol class="steps">@foreach ($task->prescribed->steps as $step)<li>{{ $step }}</li>@endforeach</ol></details>
    <details><summary>Why</summary>
        <dl class="reasons">@foreach ($task->prescribed->reasons as $reason)
            <dt>{{ $reason->rule }}</dt>
            <dd>{{ $reason->because }} <span class="from">Source: {{ $reason->source }}.</span></dd>
        @endforeach</dl></details>
    @if ($log)
        <p class="mt-2 mb-1"><span class="outcome-said">{{ ucfirst($log->outcome->inWords()) }}</span>{{ $log->why ?
            ': '.lcfirst($log->why->inWords()) : '' }}{{ $log->minutes !== null ? ', '.$log->minutes.' min'
            : '' }}{{ $log->findings ? '. '.$log->findingsInWords() : '' }}.@if ($log->left_for_next_year)<br>Left
            for next year: {{ $log->left_for_next_year }}@endif</p>
    @endif
    @can('log', $task->visit)
        <details class="no-print" data-lazy @if ($open || $mine) open @endif><summary>{{ $log ? 'Change the log'
            : 'Log it' }}</summary>
            {{-- Started when it is opened: a dozen cards at once keep a slow phone waiting. --}}
            <div @if (! $open && ! $mine) x-ignore @endif>
            <form method="post" action="{{ route('logs.store', $task) }}" x-data="logForm(@js($outcome))" novalidate>
                @csrf @method('put')
                <fieldset class="log-field"><legend class="visually-hidden">Outcome</legend>
                    <div class="outcomes">
                        @foreach (['done' => 'Done', 'partly' => 'Partly', 'not-done' => 'Not done'] as $value => $name)
                            <label><input type="radio" name="outcome" value="{{ $value }}" x-model="outcome"
                                @checked($outcome === $value)><span>{{ $name }}</span></label>
                        @endforeach
                    </div>
                    @foreach ($bag->get('outcome') as $message)<div
                        class="invalid-feedback d-block">{{ $message }}</div>@endforeach
                </fieldset>
                <fieldset class="log-field" x-show="outcome === 'partly' || outcome === 'not-done'" x-cloak><legend>What
                    stopped it</legend>
                    <div class="taps">
                        @foreach (App\Models\Hindrance::cases() as $why)<label><input type="radio" name="why"
                            value="{{ $why->value }}" @checked($said('why', $log?->why?->value) ===
                            $why->value)><span>{{ $why->inWords() }}</span></label>@endforeach
                    </div>
                    @foreach ($bag->get('why') as $message)<div
                        class="invalid-feedback d-block">{{ $message }}</div>@endforeach
                </fieldset>
                <div x-show="outcome" x-cloak>
                    <div x-show="outcome !== 'not-done'">
                        <x-stepper :id="'minutes-'.$task->id" name="minutes" label="Minutes" :by="5"
                            :value="$said('minutes', $log?->minutes ?? $task->prescribed->minutes)"
                            :wrong="$bag->get('minutes')" />
                        <x-stepper :id="'removed-'.$task->id" name="removed_percent" label="Live growth taken off, %"
                            :by="5" :value="$said('removed_percent', $log?->removed_percent)"
                            :wrong="$bag->get('removed_percent')"
                            :help="'Of what stood there, by eye. Dead and diseased wood does not count. '
                                .'Leave empty if you cannot tell.'" />
                        @if ($bag->has('over_cap_reason') || $log?->over_cap_reason)<div class="log-field"><label
                            class="form-label" for="over-{{ $task->id }}">Why more than may go</label><input
                            class="form-control" id="over-{{ $task->id }}" name="over_cap_reason" maxlength="300"
                            value="{{ $said('over_cap_reason',
                            $log?->over_cap_reason) }}">@foreach ($bag->get('over_cap_reason') as $message)<div
                            class="invalid-feedback d-block">{{ $message }}</div>@endforeach</div>@endif
                        @foreach ($task->prescribed->amounts as $index => $amount)
                            @php($kept = $logged->get($amount->what))
                            <x-stepper :id="'amount-'.$task->id.'-'.$index" :name="'amounts['.$index.']'"
                                :label="ucfirst($amount->what).', '.App\Support\LengthField::unit($amount)"
                                :by="App\Support\LengthField::unit($amount) === 'cm' || $amount->unit === '%' ? 5 : 1"
                                :value="$said('amounts.'.$index, $kept ? App\Support\LengthField::shown($amount,
                                $kept['value']) : null)" :wrong="$bag->get('amounts.'.$index)"
                                :help="'Asked for: '.$amount->inWords().'. Leave empty if not counted.'"
                                />
                        @endforeach
                    </div>
                    <fieldset class="log-field"><legend>Found</legend>
                        <div class="taps">@foreach (App\Models\Finding::cases() as $finding)<label><input
                            type="checkbox" name="findings[]" value="{{ $finding->value }}"
                            @checked(in_array($finding->value, (array) $said('findings', $log?->findings ?? []),
                            true))><span>{{ $finding->inWords() }}</span></label>@endforeach</div>
                    </fieldset>
                    <div class="log-field"><label class="form-label" for="left-{{ $task->id }}">Left for next
                        year</label><input class="form-control" id="left-{{ $task->id }}" name="left_for_next_year"
                        value="{{ $said('left_for_next_year', $log?->left_for_next_year) }}" maxlength="500"></div>
                    <div class="log-field"><label class="form-label" for="note-{{ $task->id }}">Note</label><input
                        class="form-control" id="note-{{ $task->id }}" name="note" value="{{ $said('note',
                        $log?->note) }}"></div>
                    <button class="btn btn-primary w-100" style="min-height: 56px">Log it</button>
                </div>
            </form>
            </div>
        </details>
        @if ($log)
            <form method="post" action="{{ route('logs.destroy', $task) }}" class="no-print">@csrf
                @method('delete')<button class="btn btn-quiet">Take the log back</button></form>
        @endif
    @endcan
</section>
