@use('App\Io\Import\RowSort')
@use('App\Ground\Models\Import')
@php($thing = ['plants' => 'Plant', 'gardens' => 'Garden', 'visits' => 'Visit', 'logs' => 'Plant'][$import->of])
<x-layout :title="$import->name">
    <p class="crumbs"><a href="{{ route('files') }}">Files</a></p>
    <h1>{{ $import->name }}</h1>
    @if ($import->isBusy())
        <x-part name="anew" />
        <div class="said" role="status" x-data="anew"><span>{{ match ($import->status) {
            Import::READING => 'Being read', Import::WRITING => 'Being taken in',
            Import::TAKING_BACK => 'Being taken back', default => 'Stopped; what is in is being taken out again'
            } }}: {{ number_format($import->came()) }} lines so far.<br><progress
            class="w-100" aria-label="How far it is" @if ($import->status !== Import::READING) max="{{ $import->new +
            $import->changed }}" value="{{ $import->came() }}" @endif></progress></span><a class="btn btn-quiet"
            href="{{ route('files.show', $import) }}">Look again</a></div>
        @if (in_array($import->status, [Import::READING, Import::WRITING], true))
            <form method="post" action="{{ route('files.destroy', $import) }}" class="mt-3">@csrf
                @method('delete')<button class="btn btn-quiet">Cancel</button></form>
        @endif
    @elseif ($import->status === Import::CANCELLED)
        <p>Cancelled before it was read to its end. Nothing was kept.</p>
        <p><a class="btn btn-quiet" href="{{ route('files') }}">Choose another file</a></p>
    @elseif ($import->status === Import::REFUSED)
        <div class="said wrong" role="alert">{{ $import->says }} Nothing was kept.</div>
        <p><a class="btn btn-quiet" href="{{ route('files') }}">Choose another file</a></p>
    @else
        @if ($import->says)<div class="said wrong" role="alert">{{ $import->says }}</div>@endif
        <p class="tally">@foreach (['new' => 'new', 'changed' => 'changed', 'same' => 'as they are',
            'wrong' => 'wrong'] as $each => $word)<a href="{{ route('files.show', [$import, ...($does?->value === $each
            ? [] : ['does' => $each])]) }}" @if ($does?->value === $each) aria-current="true"
            @endif><b>{{ number_format($import->{$each}) }}</b>{{ $word }}</a>@endforeach</p>
        @if ($import->status === Import::DONE)
            <div class="said" role="status"><span>@if ($in < $import->new + $import->changed){{ number_format($in) }}
                of {{ number_format($import->new + $import->changed) }} lines were taken in.@else
                Taken in: {{ number_format($import->new) }} new, {{ number_format($import->changed) }} changed.@endif
                Who changed what shows each.</span>
                <form method="post" action="{{ route('files.back', $import) }}">@csrf<button
                class="btn btn-quiet">Undo</button></form></div>
        @elseif ($import->status === Import::TAKEN_BACK)
            <div class="said" role="status"><span>Taken back: all is as it was before this file.</span></div>
        @elseif ($import->new + $import->changed > 0)
            <form method="post" action="{{ route('files.accept', $import) }}" class="d-flex gap-2 mb-3 flex-wrap">@csrf
                @method('put')<button class="btn btn-primary">Take in {{ number_format($import->new + $import->changed)
                }} {{ $import->new + $import->changed === 1 ? 'line' : 'lines' }}{{ $import->wrong > 0
                ? ' and leave '.number_format($import->wrong).' out' : '' }}</button></form>
        @else
            <p>There is nothing in it to take in.</p>
        @endif
        @if ($rows !== [])
            <table class="ledger">
                <thead><tr><th scope="col">Line</th><th scope="col">{{ $thing }}</th><th scope="col">It is</th><th
                    scope="col">Says</th></tr></thead>
                <tbody>@foreach ($rows as $row)<tr><td data-th="Line">{{ $row['line'] }}</td><td
                    data-th="{{ $thing }}">{{ $row['label'] }}</td><td
                    data-th="It is">@if ($row['does'] === RowSort::Wrong)<b class="wrong-note">wrong</b>@else{{
                    $row['does']->value }}@endif</td><td data-th="Says">{{ implode('; ', $row['says']) }}</td></tr>
                @endforeach</tbody>
            </table>
            <x-pages :pages="$pages" what="lines" />
        @elseif ($does !== null)
            <p>No line is like that.</p>
        @endif
        <form method="post" action="{{ route('files.destroy', $import) }}" class="mt-3">@csrf
            @method('delete')<button class="btn btn-quiet">Put the file away</button></form>
    @endif
</x-layout>
