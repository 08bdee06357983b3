<x-layout :title="$plant->label">
    <p class="crumbs"><a href="{{ route('gardens.index') }}">Gardens</a> / <a href="{{ route('gardens.show', $plant->garden) }}">{{ $plant->garden->name }}</a>@if ($plant->bed) / {{ $plant->bed }}@endif</p>
    <div class="head">
        <div>
            <h1>{{ $plant->label }}</h1>
            <p class="mb-0">{{ $plant->count > 1 ? $plant->count.' × ' : '' }}<a href="{{ route('plant-book.show', $kind->id) }}">{{ $kind->name }}</a>, <em>{{ $kind->botanical }}</em>. {{ $kind->about }}</p>
        </div>
        <div class="d-flex gap-2 flex-wrap no-print">
            @can('plan', $plant->garden)<a class="btn btn-primary" data-key="p" href="{{ route('visits.create', [$plant->garden, 'tasks' => $plan]) }}">Plan a visit</a>@endcan
            <a class="btn btn-quiet" data-key="j" href="{{ route('stems.show', $plant) }}">Stems</a>
            <a class="btn btn-quiet" href="{{ route('plants.record', $plant) }}">Record</a>
            @can('update', $plant)<a class="btn btn-quiet" data-key="e" href="{{ route('plants.edit', $plant) }}">Edit</a>@endcan
        </div>
    </div>
    <div class="plant">
        <div>
            <x-ring :ring="$ring" :label="'The year of '.$plant->label.': '.collect($ring->sectors)->pluck('says')->unique()->implode('; ')" :heart="$verdict->day->equals($today) ? $verdict->state->inWords() : ''" />
            <x-legend :days="true" />
            <x-days :days="$days" :plant="$plant" />
            <section class="verdict is-{{ $verdict->state->value }}" aria-labelledby="cut-title" id="cut">
                <h2 id="cut-title">{{ $verdict->day->equals($today) ? 'If it is cut today' : 'If it is cut on '.\App\Support\Say::date($verdict->day) }}: {{ $verdict->state->inWords() }}</h2>
                <dl class="reasons">
                    @foreach ($verdict->reasons as $reason)<dt>{{ $reason->rule }}</dt><dd>{{ $reason->because }} <span class="from">Source: {{ $reason->source }}.</span></dd>@endforeach
                </dl>
                @if ($verdict->next)<p class="mb-2">Wait instead for: {{ lcfirst($verdict->next->name) }}, best from {{ \App\Support\Say::date($verdict->next->window->bestFrom) }}.</p>@endif
                <form class="d-flex gap-2 align-items-end no-print" action="{{ route('plants.show', $plant) }}#cut">
                    <div><label for="cut-day" class="soft">Another day</label><input class="form-control" type="date" id="cut-day" name="cut" value="{{ $verdict->day }}"></div>
                    <button class="btn btn-quiet">What then?</button>
                </form>
            </section>
            <h2>As it stands</h2>
            <dl class="facts">
                <dt>Wood</dt><dd>{{ $kind->wood->inWords() }}</dd>
                <dt>Planted</dt><dd>{{ $plant->planted_on ? \App\Support\Say::date($plant->planted_on->format('Y-m-d')) : 'not known' }}</dd>
                @foreach (['Height' => $plant->height_mm, 'Spread' => $plant->spread_mm, 'Run' => $plant->run_mm, 'Flowers wanted at' => $plant->flowering_height_mm] as $name => $mm)
                    @if ($mm !== null)<dt>{{ $name }}</dt><dd>{{ \App\Support\Say::length($mm) }}</dd>@endif
                @endforeach
                @if ($plant->stems_old !== null)<dt>Stems</dt><dd>{{ $plant->stems_old }} old, {{ $plant->stems_young ?? 0 }} young</dd>@endif
                @if ($plant->form)<dt>Form</dt><dd>{{ $plant->form }}</dd>@endif
                @if ($plant->aim)<dt>Aim</dt><dd>{{ $plant->aim }}</dd>@endif
            </dl>
            @if ($plant->notes)<p class="mt-2"><em>{{ $plant->notes }}</em></p>@endif
        </div>
        <div>
            @if ($left->isNotEmpty())
                <div class="said"><div><b>Left for this year</b>@foreach ($left as $log)<br>{{ $log->left_for_next_year }} <span class="soft">({{ \App\Support\Say::date($log->on->format('Y-m-d')) }})</span>@endforeach</div></div>
            @endif
            <h2 class="mt-0">Prescription, season {{ $season }}</h2>
            @foreach ($rows as $row)<x-task :row="$row" />@endforeach
            @if ($rows === [])<p>Nothing is to be done to it in the coming year.</p>@endif
            <h2>Last of the record</h2>
            @if ($logs->isEmpty())
                <p>Nothing is logged yet. The record begins with the first visit.</p>
            @else
                <x-ledger :logs="$logs" :kind="$kind" />
                <p class="mt-2"><a href="{{ route('plants.record', $plant) }}">The whole record</a></p>
            @endif
        </div>
    </div>
</x-layout>
