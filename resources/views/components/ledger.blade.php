@props(['logs', 'kind'])
<table class="ledger">
    <thead><tr><th scope="col">Day</th><th scope="col">Task</th><th scope="col">Outcome</th><th
        scope="col">Amounts</th><th scope="col">Found</th><th scope="col">Left for next year</th><th scope="col"
        class="num">Minutes</th></tr></thead>
    <tbody>
    @foreach ($logs as $log)
        <tr>
            <td><a href="{{ route('visits.show',
                $log->visitTask->visit_id) }}">{{ \App\Support\Say::date($log->on) }}</a></td>
            <td>{{ $kind->tasks[$log->task]->name ?? $log->task }}</td>
            <td><span class="outcome-said">{{ ucfirst($log->outcome->inWords()) }}</span>{{ $log->why ?
                ': '.lcfirst($log->why->inWords()) : '' }}</td>
            <td data-th="Amounts">@foreach ($log->amounts as $amount){{ $loop->first ? ''
                : '; ' }}{{ $amount['what'] }}: {{ \App\Support\Say::value($amount['value'],
                $amount['unit']) }}@endforeach</td>
            <td data-th="Found">{{ $log->findingsInWords() }}{{ $log->note ? '. '.$log->note : '' }}{{ $log->told
                ? '. Told to '.$log->told : '' }}</td>
            <td data-th="Left for next year">{{ $log->leftInWords() }}</td>
            <td class="num" data-th="Minutes">{{ $log->minutes }}</td>
        </tr>
    @endforeach
    </tbody>
</table>
