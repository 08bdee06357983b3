@props(['rows', 'garden' => true])
<ul class="due">
    @foreach ($rows as $row)
        <li>
            <span class="what"><a href="{{ route('plants.show', $row->plant) }}">{{ $row->plant->label }}</a></span>
            <span class="when"><x-urgency :due="$row->due" /></span>
            <span class="where">{{ $row->due->task->name }}@if ($garden), {{ $row->plant->garden->name }}@endif</span>
            <span class="act">
                @if ($row->visit)
                    <a href="{{ route('visits.show', $row->visit) }}">visit
                        {{ Say::date($row->visit->on) }}</a>
                @else
                    @if ($row->due->task->handsOff)<span class="soft">an arborist's</span>@else
                        @can('plan', $row->plant->garden)<a href="{{ route('visits.create', [$row->plant->garden,
                        'tasks' => [(string) $row->choice()]]) }}"
                        aria-label="Plan a visit for {{ $row->plant->label }}, {{
                            $row->due->task->name }}">Plan</a>@endcan @endif
                @endif
            </span>
            @if ($row->hold && ! $row->visit)<span class="held"><b>{{ $row->hold->reason->rule }}</b>{{ $row->hold->next
                ? ', can go on from '.Say::date($row->hold->next) : ' all week' }}</span>@endif
        </li>
    @endforeach
</ul>
