<x-layout :title="'Visit to '.$visit->garden->name" quiet>
    <div class="sheet">
        <p class="crumbs"><a href="{{ route('round') }}">Round</a> / <a href="{{ route('gardens.show',
            $visit->garden) }}">{{ $visit->garden->name }}</a></p>
        <h1>{{ $visit->garden->name }}</h1>
        <p>{{ \App\Support\Say::longDate($visit->on) }}, {{ $visit->crew?->name ?? 'no crew yet' }}.
            {{ $visit->tasks->count() }} {{ $visit->tasks->count() === 1 ? 'task' : 'tasks' }}, about
            {{ \App\Support\Say::minutes($visit->minutes()) }}; {{ $visit->tasks->whereNotNull('log')->count() }}
            logged.@if ($visit->garden->notes)<br><em>{{ $visit->garden->notes }}</em>@endif</p>
        @if ($visit->outside_reason)<div class="said wrong">Outside the common days:
            {{ $visit->outside_reason }}</div>@endif
        <p class="mb-2">Daylight {{ \App\Support\Say::clock($sun->rise, $visit->on) }} to
            {{ \App\Support\Say::clock($sun->set, $visit->on) }},
            {{ \App\Support\Say::minutes($sun->daylight) }}.@if ($tooLong)
            {{ $tooLong === 1 ? 'One person' : $tooLong.' people' }} cannot do it all by daylight.@endif</p>
        @if ($weather)
            <p class="mb-2">Forecast: {{ round($weather->min) }} to {{ round($weather->max) }} °C,
                {{ $weather->rainMm > 0 ? round($weather->rainMm, 1).' mm of rain' : 'dry' }}.
                <span class="soft">(simulated station)</span></p>
        @endif
        @if ($advice !== [])<ul class="cautions">@foreach ($advice as $each)<li><b>{{ $each->reason->rule }}.</b>
            {{ ucfirst($each->reason->because) }}.</li>@endforeach</ul>@endif
        @php($next = $visit->tasks->first(fn ($task) => $task->log === null)?->id)
        @foreach ($visit->tasks as $task)<x-job :task="$task" :plan="$plans[$task->id]"
            :says="$says[$task->plant_id] ?? []" :number="$loop->iteration" :open="$task->id === $next" />@endforeach

        @can('update', $visit)
            <details class="no-print" @if ($errors->hasAny(['on', 'outside_reason', 'visit'])) open
                @endif><summary>Move or cancel this visit</summary>
                <form method="post" action="{{ route('visits.update', $visit) }}" novalidate>
                    @csrf @method('put')
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
