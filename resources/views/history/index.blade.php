@use('App\Ground\History\Fields')
@use('App\Ground\History\Undo')
@use('App\Ground\Models\Change')
@use('App\Ground\Models\Did')
<x-layout title="Who changed what" quiet>
    <h1>Who changed what</h1>
    @error('undo')<div class="said wrong" role="alert">{{ $message }}</div>@enderror
    <form class="filters no-print" action="{{ route('changes') }}">
        <div><label for="q">Called</label><input class="form-control" type="search" id="q" name="q"
            value="{{ $text }}"></div>
        <div><label for="of">Of</label><select class="form-select" id="of" name="of"><option value="">anything</option>
            @foreach (array_keys(Change::ROWS) as $each)<option value="{{ $each }}" @selected($of === $each)>{{
                str_replace('-', ' ', $each) }}s</option>@endforeach</select></div>
        <div><label for="did">What was done</label><select class="form-select" id="did" name="did"><option
            value="">anything</option>@foreach (Did::cases() as $each)<option value="{{ $each->value }}"
            @selected($did === $each)>{{ $each->inWords() }}</option>@endforeach</select></div>
        <div><label for="who">By</label><select class="form-select" id="who" name="who"><option
            value="">anybody</option>@foreach ($people as $id => $name)<option value="{{ $id }}"
            @selected($who === $id)>{{ $name }}</option>@endforeach</select></div>
        <button class="btn btn-primary">Show</button>
        <a class="btn btn-quiet" href="{{ route('changes', ['did' => 'taken-out']) }}">What was taken out</a>
    </form>
    @if ($changes->isEmpty())
        <p>{{ $text === '' && $did === null && $of === '' ? 'Nothing has changed yet.'
            : 'No change is like that.' }}</p>
    @else
        <table class="ledger">
            <thead><tr><th scope="col">When</th><th scope="col">Who</th><th scope="col">What</th><th
                scope="col">From, to</th><th scope="col"><span class="visually-hidden">Back</span></th></tr></thead>
            <tbody>
            @foreach ($changes as $change)
                <tr>
                    <td class="when">{{ Say::date(Today::of($change->at)) }}, {{ Say::time($change->at) }}</td>
                    <td data-th="Who">{{ $change->user->name ?? 'the office itself' }}</td>
                    <td data-th="What">{{ ucfirst(str_replace('-', ' ', $change->of)) }} <b>{{ $change->label }}</b>
                        {{ $change->did->inWords() }}</td>
                    <td data-th="From, to">@if ($change->did === Did::Changed)
                        @foreach ($change->after as $field => $value){{ $loop->first ? '' : '; ' }}{{
                            Fields::name($field) }}: {{ Fields::says($field, $change->before[$field] ?? null) }} to {{
                            Fields::says($field, $value) }}@endforeach @endif</td>
                    <td class="back">@if ($change->undone_by)<span class="soft">taken back</span>
                        @elseif (Undo::isElsewhere($change))<span class="soft">{{
                            Undo::where($change) }}</span>@else<form method="post"
                        action="{{ route('changes.undo', $change) }}" class="no-print">@csrf<button
                        class="btn btn-link" aria-label="{{ $change->did === Did::TakenOut ? 'Bring back'
                            : 'Take back' }}: {{ $change->label }}, {{ $change->did->inWords() }}">{{
                        $change->did === Did::TakenOut ? 'Bring back' : 'Take back' }}</button></form>@endif</td>
                </tr>
            @endforeach
            </tbody>
        </table>
        @if ($older)<p class="mt-3"><a class="btn btn-quiet" href="{{ route('changes', [
            ...request()->query(), 'before' => $older]) }}">Earlier</a></p>@endif
    @endif
</x-layout>
