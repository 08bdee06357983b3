<x-layout :title="'Visit to '.$visit->garden->name" quiet>
    <div class="sheet" data-field data-visit="{{ $visit->id }}" data-by="{{ auth()->id() }}"
        data-name="{{ auth()->user()->name }}">
        <p class="crumbs"><a href="{{ route('round') }}">Round</a> / <a href="{{ route('gardens.show',
            $visit->garden) }}">{{ $visit->garden->name }}</a> · <span data-progress>{{
            $visit->tasks->whereNotNull('log')->count() }} of {{ $visit->tasks->count() }} logged</span></p>
        <h1>{{ $visit->garden->name }}</h1>
        <div class="said" data-told role="status" hidden></div>
        <section class="leaf" data-leaf id="arrive" aria-label="On arriving">
            <p class="mb-2">{{ Say::longDate($visit->on) }}, {{ $visit->crew?->name ?? 'no crew yet' }}.
                {{ count($sheets) }} {{ count($sheets) === 1 ? 'task' : 'tasks' }}, about
                {{ Say::minutes($visit->minutes()) }}.</p>
            @if ($visit->outside_reason)<div class="said wrong">Outside the common days:
                {{ $visit->outside_reason }}</div>@endif
            <p class="mb-2">Daylight {{ Say::clock($sun->rise, $visit->on) }} to
                {{ Say::clock($sun->set, $visit->on) }}, {{ Say::minutes($sun->daylight) }}.@if ($tooLong)
                {{ $tooLong === 1 ? 'One person' : $tooLong.' people' }} cannot do it all by daylight.@endif
                @if ($weather) Forecast: {{ round($weather->min) }} to {{ round($weather->max) }} °C,
                {{ $weather->rainMm > 0 ? round($weather->rainMm, 1).' mm of rain' : 'dry' }}
                <span class="soft">(simulated station)</span>.@endif</p>
            @if ($advice !== [])<ul class="cautions">@foreach ($advice as $each)<li><b>{{ $each->reason->rule }}.</b>
                {{ Say::prose(ucfirst($each->reason->because)) }}.</li>@endforeach</ul>@endif
            <x-arrive :visit="$visit" :hazards="$hazards" :tools="$tools" :word="$words['arrive'] ?? null" />
        </section>
        @foreach ($sheets as $sheet)<x-job :sheet="$sheet" :number="$loop->iteration" />@endforeach
        <x-leave :visit="$visit" :sheets="$sheets" :words="$words" />
        <svg class="patterns" width="0" height="0" aria-hidden="true"><defs>@stack('shapes')</defs></svg>
        <nav class="turn no-print" aria-label="Pages of the sheet">
            <button type="button" data-back>Back</button>
            <button type="button" data-to-log><span data-at></span><b>Log</b></button>
            <button type="button" data-next>Next</button>
        </nav>

        @can('update', $visit)
            <details class="no-print mt-4" @if ($errors->hasAny(['on', 'outside_reason', 'visit'])) open
                @endif><summary>Move or cancel this visit</summary>
                <form method="post" action="{{ route('visits.update', $visit) }}" novalidate>
                    @csrf @method('put')
                    <x-version :of="$visit" />
                    <x-field name="on" label="Move to" type="date" :value="$visit->on" />
                    <x-field name="outside_reason" label="Reason, if outside the common days"
                        :value="$visit->outside_reason" />
                    <button class="btn btn-primary">Move the visit</button>
                </form>
                <form method="post" action="{{ route('visits.destroy', $visit) }}" class="mt-3">@csrf
                    @method('delete')<button class="btn btn-quiet">Cancel the visit</button></form>
                @error('visit')<p class="invalid-feedback d-block">{{ $message }}</p>@enderror
            </details>
        @endcan
    </div>
</x-layout>
