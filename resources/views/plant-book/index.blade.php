@use('App\Ground\Models\Firm')
@php($months = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October',
    'November', 'December'])
<x-layout title="Plant book">
    <div class="head"><h1>Plant book</h1><p class="mb-0">{{ $pages->total }} of {{ count($book->names) }} kinds
        @can('update', Firm::class)<a class="btn btn-quiet ms-3 no-print"
        href="{{ route('own-kinds.create') }}">Add a kind of our own</a>@endcan</p></div>
    <form class="filters" action="{{ route('plant-book.index') }}">
        <div><label for="q">Any name, or family</label><input class="form-control" id="q" name="q" type="search"
            value="{{ $filter->text }}"></div>
        <div><label for="wood">Flowers on</label><select class="form-select" id="wood" name="wood"><option value="">any
            wood</option>@foreach (['old' => "last year's wood", 'new' => "this year's growth", 'both' => 'both', 'none'
            => 'grown for green'] as $value => $name)<option value="{{ $value }}"
            @selected($filter->wood?->value === $value)>{{ $name }}</option>@endforeach</select></div>
        <div><label for="habit">Use</label><select class="form-select" id="habit" name="habit"><option
            value="">any</option>@foreach (collect($book->names)->pluck('habit')->unique()->sort() as $habit)<option
            value="{{ $habit }}" @selected($filter->habit === $habit)>{{ $habit }}</option>@endforeach</select></div>
        <div><label for="month">Best pruned in</label><select class="form-select" id="month" name="month"><option
            value="">any month</option>@foreach ($months as $index => $month)<option value="{{ $index + 1 }}"
            @selected($filter->month === $index + 1)>{{ $month }}</option>@endforeach</select></div>
        <button class="btn btn-primary">Show</button>
    </form>
    @if ($kinds === [])
        @php($near = $filter->text === '' ? null : $book->nearestName($filter->text))
        <p class="mt-4">No kind matches.@if ($near) Did you mean <a href="{{ route('plant-book.index', ['q' =>
            $near]) }}">{{ $near }}</a>?@endif <a href="{{ route('plant-book.index') }}">Show all</a></p>
    @else
        <table class="ledger mt-3">
            <thead><tr><th scope="col">Kind</th><th scope="col">Botanical name</th><th scope="col">Family</th><th
                scope="col">Wood</th><th scope="col">Tasks in a year</th></tr></thead>
            <tbody>
            @foreach ($kinds as $kind)
                <tr>
                    <td><a href="{{ route('plant-book.show',
                        $kind->id) }}"><b>{{ $kind->name }}</b></a>@if (isset($own[$kind->id]))
                        <span class="tag">the firm's own</span>@endif</td>
                    <td><em>{{ $kind->botanical }}</em></td>
                    <td>{{ $kind->family }}</td>
                    <td>{{ $kind->wood->inWords() }}</td>
                    <td>{{ collect($kind->tasks)->reject(fn ($task) => $task->key ===
                        'first-year')->pluck('name')->map(fn ($name, $key) => lcfirst($name))->implode(', ') }}</td>
                </tr>
            @endforeach
            </tbody>
        </table>
        @if ($pages->last > 1)<x-pages :pages="$pages" what="kinds" />@endif
    @endif
</x-layout>
