@props(['sheet'])
{{-- What the office has of it: the record's line, and each word it is put together from where there are several. --}}
@php($log = $sheet->task->log)
@if ($log)
    <p class="mt-2 mb-1"><span class="outcome-said">{{ ucfirst($log->outcome->inWords()) }}</span>{{ $log->why ?
        ': '.lcfirst($log->why->inWords()) : '' }}{{ $log->told ? ', told to '.$log->told : '' }}{{
        $log->minutes !== null ? ', '.$log->minutes.' min' : '' }}{{ $log->findings ? '. '.$log->findingsInWords()
        : '' }}.@if ($log->left_for_next_year || $log->left_stem)<br>Left for next year:
        {{ implode(', ', array_filter([$log->left_stem ? 'stem '.$log->left_stem : '', $log->left_for_next_year]))
        }}@endif</p>
@endif
@if (count($sheet->standing) > 1)
    <ul class="plain">@foreach ($sheet->standing as $word)<li>{{ $word->saidBy?->name ?? 'Somebody' }},
        {{ Say::time($word->said_at) }}: {{ implode(', ', array_filter([
            PruningHook\Core\Plant\Outcome::from($word->body['outcome'])->inWords(),
            isset($word->body['minutes']) ? $word->body['minutes'].' min' : '', $word->body['note'] ?? '',
        ])) }}</li>@endforeach</ul>
@endif
<x-pictures :photos="$sheet->task->photos" :of="$sheet->task->plant->label" />
@if ($log)
    @can('log', $sheet->task->visit)
        <form method="post" action="{{ route('logs.destroy', $sheet->task) }}" class="no-print"
            data-take-back="{{ $sheet->task->id }}">@csrf
            @method('delete')<button class="btn btn-quiet">Take the log back</button></form>
    @endcan
@endif
