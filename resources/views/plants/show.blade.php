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
                @include('plants.measures')
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
            @include('plants.verdict')
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
            @include('plants.facts')
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
