@props(['day', 'work'])
@use('PruningHook\Core\Planning\Season\Visit')
{{-- The day as the crew drives off: in order, with times; what to load; what to look out for; who does what. --}}
<h2>Today</h2>
<ol class="due drive">
    @foreach ($day->stops as $stop)
        @php($its = $work[$stop['visit']->id])
        <li>
            <span class="what"><a href="{{ route('visits.show', $stop['visit'])
                }}">{{ $stop['visit']->garden->name }}</a></span>
            <span class="when">{{ Visit::clock($stop['start']) }} to {{ Visit::clock($stop['end']) }}</span>
            <span class="where">{{ implode(', ', $its['plants']) }}</span>
            <span class="act">{{ $its['tasks'] - $stop['visit']->unlogged }} of {{ $its['tasks'] }} logged</span>
        </li>
    @endforeach
</ol>
<p>
    On the road {{ Say::minutes($day->round->travel) }}; back after {{ Say::minutes($day->round->used) }}
    @if ($day->round->length > 0) of {{ Say::minutes($day->round->length) }} @endif
    @if ($day->round->over() > 0) <b>That is {{ Say::minutes($day->round->over()) }} too long.</b> @endif
</p>
<details class="load"><summary>To load: {{ count($day->tools) }} tools, room for {{ $day->litres }} litres of
    cuttings</summary>
    <ul>@foreach ([...$day->tools, ...$day->materials] as $each)<li>{{ Say::prose($each) }}</li>@endforeach</ul>
</details>
@if ($day->hazards !== [])
    <details class="load"><summary>To look out for</summary>
        <ul>@foreach ($day->hazards as $garden => $says)<li><b>{{ $garden }}.</b> {{ implode(' ', $says)
            }}</li>@endforeach</ul>
    </details>
@endif
@if ($day->skills !== [])
    <details class="load"><summary>Who does what</summary>
        <ul>@foreach ($day->skills as $skill => $plants)<li><b>{{ $skill }}.</b> {{ implode(', ', $plants)
            }}</li>@endforeach</ul>
    </details>
@endif
