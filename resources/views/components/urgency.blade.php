@props(['due'])
@switch($due->urgency->value)
    @case('closing')<span class="tag press">closes {{ Say::days($due->daysLeft()) }}</span>@break
    @case('open')<span class="tag">open, {{ $due->daysLeft() }} days left</span>@break
    @case('coming')<span class="tag">opens {{ Say::days($due->daysToOpening()) }}</span>@break
    @case('missed')<span class="tag press">missed, closed {{ Say::days($due->daysLeft()) }}</span>@break
    @case('done')<span class="tag">done</span>@break
    @default<span class="tag">{{ $due->daysToOpening() > 0 ? 'opens '.Say::date($due->task->window->opens)
        : 'passed' }}</span>
@endswitch
