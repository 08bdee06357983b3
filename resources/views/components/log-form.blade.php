@props(['sheet', 'bag'])
@use('App\Ground\Models\Hindrance')
@use('App\Ground\Support\LengthField')
@php
    $task = $sheet->task;
    $log = $task->log;
    $mine = $bag->any();
    $said = static fn (string $key, mixed $kept) => $mine ? Asked::before($key) : $kept;
    $outcome = $said('outcome', $log?->outcome->value);
    $why = $said('why', $log?->why?->value);
    $logged = collect($log?->amounts ?? [])->keyBy('what');
@endphp
<form method="post" action="{{ route('logs.store', $task) }}" data-log data-stops="{{ implode(' ',
    array_column(Hindrance::stops(), 'value')) }}" novalidate @submit.prevent="submit()"
    @input="hold()" @refused="wrong($event.detail)"
    x-data="logForm(@js($outcome), @js($why), {{ $task->id }}, @js($bag->has('over_cap_reason')
    || $log?->over_cap_reason !== null))">
    @csrf @method('put')
    <fieldset class="log-field"><legend class="visually-hidden">How it went</legend>
        <div class="outcomes">
            @foreach (['done' => 'Done as planned', 'changed' => 'Done differently', 'partly' => 'Partly', 'not-done' =>
                'Not done'] as $value => $name)
                <label><input type="radio" name="outcome" value="{{ $value }}" x-model="outcome"
                    @checked($outcome === $value)><span>{{ $name }}</span></label>
            @endforeach
        </div>
        <x-wrong field="outcome" :bag="$bag" :task="$task->id" />
    </fieldset>
    <fieldset class="log-field" x-show="outcome === 'partly' || outcome === 'not-done'" x-cloak><legend>What stopped
        it</legend>
        <div class="taps">
            @foreach (Hindrance::cases() as $each)<label><input type="radio" name="why" value="{{ $each->value }}"
                x-model="why" @checked($why === $each->value)><span>{{ $each->inWords() }}</span></label>@endforeach
        </div>
        <x-wrong field="why" :bag="$bag" :task="$task->id" />
        <div class="stop" x-show="isStop" x-cloak>
            <p><b>Stop the work here.</b> @foreach (Hindrance::stops() as $each)<span x-show="why === '{{ $each->value
                }}'">{{ $each->whatToDo() }}</span>@endforeach {{ $sheet->again }}</p>
            <p class="mb-1" id="told-{{ $task->id }}">Who was told</p>
            <div class="taps" role="group" aria-labelledby="told-{{ $task->id }}">@foreach (['the lead', 'the office',
                'the client'] as $who)<label><input type="radio" name="told" value="{{ $who }}" @checked($said('told',
                $log?->told) === $who)><span>{{ ucfirst($who) }}</span></label>@endforeach</div>
            <x-wrong field="told" :bag="$bag" :task="$task->id" />
        </div>
    </fieldset>
    <div x-show="outcome" x-cloak>
        <div x-show="outcome !== 'not-done'">
            <x-stepper :task="$task->id" :id="'minutes-'.$task->id" name="minutes" label="Minutes" :by="5"
                :value="$said('minutes', $log?->minutes ?? $task->prescribed->minutes)" :bag="$bag" />
            <button type="button" class="btn btn-quiet" @click="toggleClock()" x-text="clockSays">Start the
                clock</button>
            @if ($sheet->isCut())
            <x-stepper :task="$task->id" :id="'removed-'.$task->id" name="removed_percent"
                label="Live growth taken off, %" :by="5"
                :value="$said('removed_percent', $log?->removed_percent)" :bag="$bag"
                :help="($sheet->mayGo === null ? '' : $sheet->mayGo.' % may still go this season. ')
                    .'By eye, of what stood there; dead and diseased wood does not count.'" />
            <div class="log-field" x-show="over" x-cloak>
                <label class="form-label" for="over-{{ $task->id }}">Why more than may go</label><input
                class="form-control" id="over-{{ $task->id }}" name="over_cap_reason" maxlength="300"
                value="{{ $said('over_cap_reason', $log?->over_cap_reason) }}"><x-wrong field="over_cap_reason"
                :bag="$bag" :task="$task->id" /></div>
            @endif
            @foreach ($task->prescribed->amounts as $index => $amount)
                @php($kept = $logged->get($amount->what))
                <x-stepper :task="$task->id" :id="'amount-'.$task->id.'-'.$index" :name="'amounts['.$index.']'"
                    :label="ucfirst($amount->what).', '.LengthField::unit($amount)" :bag="$bag"
                    :by="LengthField::unit($amount) === 'cm' || $amount->unit === '%' ? 5 : 1"
                    :value="$said('amounts.'.$index, $kept ? LengthField::shown($amount, $kept['value']) : null)"
                    :help="'Asked for: '.Say::amount($amount).'. Leave empty if not counted.'" />
            @endforeach
        </div>
        <fieldset class="log-field"><legend>Found</legend>
            <div class="taps">@foreach (App\Ground\Models\Finding::cases() as $finding)<label><input type="checkbox"
                name="findings[]" value="{{ $finding->value }}" @checked(in_array($finding->value,
                $mine ? Asked::listBefore('findings') : $log?->findings ?? [], true))><span>{{
                $finding->inWords() }}</span></label>@endforeach</div>
        </fieldset>
        <details class="more" @if ($bag->has('on')) open @endif><summary>Another day, heights, stems, next year, a
            note</summary>
            <div class="log-field"><label class="form-label" for="on-{{ $task->id }}">Done on</label><input
                class="form-control" type="date" id="on-{{ $task->id }}" name="on" max="{{ Today::day() }}"
                value="{{ $said('on', $log?->on) }}"><p class="soft mb-0">Empty: today.</p>
                <x-wrong field="on" :bag="$bag" :task="$task->id" /></div>
            @foreach (App\Field\Record\LogRules::MORE as $field => [$what, $unit, $effect])
                <x-stepper :task="$task->id" :id="$field.'-'.$task->id" :name="'more['.$field.']'" :bag="$bag"
                    :by="$unit === 'cm' ? 5 : 1" :label="ucfirst($what).($unit === '' ? '' : ', '.$unit)"
                    :value="$said('more.'.$field,
                    isset($logged[$what]) ? ($unit === 'cm' ? LengthField::cm($logged[$what]['value'])
                    : $logged[$what]['value']) : null)" />
            @endforeach
            <div class="log-field taps"><label><input type="checkbox" name="blades" value="1" @checked($said('blades',
                $log?->blades))><span>Blades disinfected before the next plant</span></label></div>
            <div class="log-field"><label class="form-label" for="left-{{ $task->id }}">Left for next year</label>
                @if ($sheet->stems() !== [])<select class="form-select mb-2" name="left_stem"
                    aria-label="Which stem is left for next year"><option value="">no stem in
                    particular</option>@foreach ($sheet->stems() as $ref => $stem)<option value="{{ $ref }}"
                    @selected($said('left_stem', $log?->left_stem) === $ref)>{{ $stem }}</option>@endforeach</select>
                @endif
                <input class="form-control" id="left-{{ $task->id }}" name="left_for_next_year" maxlength="500"
                    value="{{ $said('left_for_next_year', $log?->left_for_next_year) }}"></div>
            <div class="log-field"><label class="form-label" for="note-{{ $task->id }}">Note</label><textarea
                class="form-control" id="note-{{ $task->id }}" name="note" rows="2" maxlength="2000">{{ $said('note',
                $log?->note) }}</textarea></div>
        </details>
        <div class="taps" data-wrong="sure" hidden><label><input type="checkbox" name="sure" value="1"><span>It is
            so</span></label></div>
        <button class="btn btn-primary log-it w-100">Log it</button>
    </div>
</form>
