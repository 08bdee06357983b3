@php($sent = Asked::rowsBefore('rows') !== [])
<x-layout :title="'Plants of '.$garden->name.' from a list'">
    <p class="crumbs"><a href="{{ route('gardens.index') }}">Gardens</a> /
        <a href="{{ route('gardens.show', $garden) }}">{{ $garden->name }}</a></p>
    <h1>Plants from a list</h1>
    <form method="post" action="{{ route('plants.preview', $garden) }}" class="to-56" novalidate
        enctype="multipart/form-data">
        @csrf
        <x-field name="list" label="A line for each plant" type="textarea" :value="$text" help="Its name as you call it,
            with a number before it where there are several. After commas: what the crew calls it, and its bed.
            3 x Rosa 'Iceberg', Roses by the steps, Steps" />
        <x-field name="file" type="file" label="or from a file" accept=".csv,.txt,text/plain,text/csv"
            help="The same lines, as CSV or plain text." />
        <button class="btn {{ $list ? 'btn-quiet' : 'btn-primary' }}">Show what is understood</button>
    </form>
    @if ($list && $list->rows === [])<p class="wrong-note">There is no line in it.</p>@endif
    @if ($list && $list->rows !== [])
        <h2>{{ $list->sure() }} of {{ count($list->rows) }} are clear{{ $list->unknown() > 0 ? ', '.$list->unknown()
            .' unknown' : '' }}</h2>
        <p>Nothing is kept yet. Say which is meant where several are, and take the tick from what is to be left out.
            @if ($list->left > 0)<b>{{ $list->left }} more lines were too many at once: plant these first.</b>@endif</p>
        <form method="post" action="{{ route('plants.plant', $garden) }}" novalidate>
            @csrf <x-once />
            <table class="ledger">
                <thead><tr><th scope="col">Plant it</th><th scope="col">Written</th><th scope="col">Understood
                    as</th><th scope="col">Called</th><th scope="col">Bed</th><th scope="col">How many</th></tr></thead>
                <tbody>
                @foreach ($list->rows as $index => $row)
                    <tr>
                        <td data-th="Plant it">@if ($row->matches !== [])<input type="checkbox"
                            class="form-check-input" value="1" name="rows[{{ $index }}][take]"
                            aria-label="Plant {{ $row->said }}"
                            @checked(! $sent || Asked::before("rows.$index.take") !== null)>@endif</td>
                        <td data-th="Written">{{ $row->said }}<input type="hidden" name="rows[{{ $index }}][said]"
                            value="{{ $row->said }}"></td>
                        <td data-th="Understood as">
                            @if ($row->matches === [])
                                <label for="kind-{{ $index }}"><b>nothing in the plant book</b></label>
                                <select class="form-select" id="kind-{{ $index }}" name="rows[{{ $index }}][kind]">
                                    <option value="">leave it out</option>
                                    @foreach (App\Knowledge\Unnamed::all($book) as $id => $sort)<option
                                        value="{{ $id }}" @selected(Asked::before("rows.$index.kind") === $id)>a {{
                                        $sort }} not yet named: dead wood only</option>@endforeach
                                </select>
                                <a href="{{ route('own-kinds.create') }}">Add a kind of our own</a>
                            @elseif ($row->kind !== null)
                                <input type="hidden" name="rows[{{ $index }}][kind]" value="{{ $row->kind }}">
                                {{ $row->matches[0]->name }} <i>{{ $row->matches[0]->botanical }}</i>
                            @else
                                <label class="soft" for="kind-{{ $index }}">{{ $row->matches[0]->ask
                                    ?? 'Is it this?' }}</label>
                                <select class="form-select" id="kind-{{ $index }}" name="rows[{{ $index }}][kind]">
                                    @if (count($row->matches) > 1)<option value="">choose</option>@endif
                                    @foreach ($row->matches as $match)<option value="{{ $match->id }}"
                                        @selected(Asked::before("rows.$index.kind") === $match->id)>{{ $match->name
                                        }}</option>@endforeach
                                </select>
                            @endif
                            @error("rows.$index.kind")<div class="invalid-feedback d-block">{{ $message
                                }}</div>@enderror
                        </td>
                        <td data-th="Called"><input class="form-control" name="rows[{{ $index }}][label]"
                            value="{{ $row->label }}" aria-label="What the crew calls {{ $row->said }}">
                            @error("rows.$index.label")<div class="invalid-feedback d-block">{{ $message
                            }}</div>@enderror</td>
                        <td data-th="Bed"><input class="form-control" name="rows[{{ $index }}][bed]"
                            value="{{ $row->bed }}" aria-label="Bed of {{ $row->said }}"></td>
                        <td data-th="How many"><input class="form-control" type="number" min="1"
                            name="rows[{{ $index }}][count]" value="{{ $row->count }}"
                            aria-label="How many of {{ $row->said }}">
                            @error("rows.$index.count")<div class="invalid-feedback d-block">{{ $message
                            }}</div>@enderror</td>
                    </tr>
                @endforeach
                </tbody>
            </table>
            <button class="btn btn-primary mt-3">Plant what is ticked</button>
        </form>
    @endif
</x-layout>
