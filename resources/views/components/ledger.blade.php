@props(['logs', 'plants' => false, 'garden' => true])
{{-- Lines of the record: of one plant with what was counted, or of many, each with its plant and garden. --}}
<table class="ledger">
    <thead><tr><th scope="col">Day</th>@if ($plants)<th scope="col">Plant</th>@endif<th scope="col">Task</th><th
        scope="col">Outcome</th>@if (! $plants)<th scope="col">Amounts</th>@endif<th scope="col">Found</th><th
        scope="col">Left for next year</th><th scope="col" class="num">Minutes</th></tr></thead>
    <tbody>
    @foreach ($logs as $log)
        <tr>
            <td><a href="{{ route('visits.show', $log->visitTask->visit_id) }}#task-{{ $log->visit_task_id
                }}">{{ Say::date($log->on) }}</a></td>
            @if ($plants)<td data-th="Plant"><a href="{{ route('plants.record', $log->plant_id) }}">{{
                $log->plant->label }}</a>@if ($garden), {{ $log->plant->garden->name }}@endif</td>@endif
            <td data-th="Task">{{ $log->visitTask->prescribed->name }}</td>
            <td data-th="Outcome"><span class="outcome-said">{{ ucfirst($log->outcome->inWords()) }}</span>{{ $log->why
                ? ': '.lcfirst($log->why->inWords()) : '' }}{{ $log->told ? ', told to '.$log->told : '' }}</td>
            @if (! $plants)<td data-th="Amounts">@foreach ($log->amounts as $amount){{ $loop->first ? ''
                : '; ' }}{{ $amount['what'] }}: {{ Say::value($amount['value'],
                $amount['unit']) }}@endforeach</td>@endif
            <td data-th="Found">{{ $log->findingsInWords() }}{{ $log->note ? '. '.$log->note : '' }}{{ $plants
                && $log->visitTask->photos->isNotEmpty() ? '. '.$log->visitTask->photos->count().' photos'
                : '' }}</td>
            <td data-th="Left for next year">{{ $log->leftInWords() }}</td>
            <td class="num" data-th="Minutes">{{ $log->minutes }}</td>
        </tr>
    @endforeach
    </tbody>
</table>
