<x-layout title="Ways of cutting compared">
    <p class="crumbs"><a href="{{ route('record') }}">Record</a></p>
    <h1>Ways of cutting compared</h1>
    <form class="filters no-print" action="{{ route('record.compare') }}">
        <div><label for="kind">Kind</label><select class="form-select" id="kind" name="kind"><option value="">choose a
            kind</option>@foreach (collect($book->names)->sortBy('name') as $each)<option value="{{ $each->id }}"
            @selected($kind === $each->id)>{{ $each->name }}</option>@endforeach</select></div>
        <button class="btn btn-primary">Compare</button>
    </form>
    @if ($kind === null)
        <p>Choose a kind: what was done to its plants stands side by side, with what it took and how they flowered.</p>
    @elseif ($treatments === [])
        <p>Nothing is logged as done for {{ $book->names[$kind]->name }} yet.</p>
    @else
        <table class="ledger">
            <thead><tr><th scope="col">Way of cutting</th><th scope="col" class="num">Plants</th><th scope="col"
                class="num">Times</th><th scope="col" class="num">Minutes</th><th scope="col" class="num">Live growth
                taken</th><th scope="col">Bloom after it</th></tr></thead>
            <tbody>@foreach ($treatments as $way)<tr>
                <td>{{ $way->name }}</td>
                <td class="num" data-th="Plants">{{ $way->plants }}</td>
                <td class="num" data-th="Times">{{ $way->times }}</td>
                <td class="num" data-th="Minutes">{{ $way->minutes ?? 'not said' }}</td>
                <td class="num" data-th="Live growth taken">{{ $way->removed === null ? 'not said' : $way->removed.' %'
                    }}</td>
                <td data-th="Bloom after it">{{ $way->bloomInWords() }}</td>
            </tr>@endforeach</tbody>
        </table>
        <p class="soft mt-2">Averages of what was logged as done; the bloom is that of the same season, where somebody
            noted it. Few lines say little: plants differ in age and place.</p>
        @unless ($ready->isWhole())<p class="soft">{{ number_format($ready->stale) }} gardens are being worked out anew;
            what was logged there last is not counted yet.</p>@endunless
    @endif
</x-layout>
