<x-layout title="Gardens">
    <div class="head">
        <h1>Gardens</h1>
        @can('create', App\Models\Garden::class)<a class="btn btn-primary" href="{{ route('gardens.create') }}">Add a garden</a>@endcan
    </div>
    <form class="filters" action="{{ route('gardens.index') }}">
        <div><label for="q">Garden, client or address</label><input class="form-control" id="q" name="q" type="search" value="{{ $text }}"></div>
        <button class="btn btn-primary">Show</button>
        @if ($text !== '')<a class="btn btn-quiet" href="{{ route('gardens.index') }}">Show all</a>@endif
    </form>
    @if ($gardens->isEmpty())
        <p class="mt-4">{{ $text === '' ? 'No garden is in the book yet. Add the first one, then its plants: their windows are worked out at once.' : "No garden matches \"$text\"." }}</p>
    @endif
    <ul class="gardens">
        @foreach ($gardens as $garden)
            <li>
                <h2><a href="{{ route('gardens.show', $garden) }}">{{ $garden->name }}</a></h2>
                <p class="mb-1">{{ $garden->client }}<br><span class="soft">{{ $garden->address }}</span></p>
                <p class="mb-0">{{ $garden->plants_count }} {{ $garden->plants_count === 1 ? 'plant' : 'plants' }} and groups · {{ $garden->crew?->name ?? 'no crew yet' }} · {{ $garden->winter }} winter, {{ $garden->elevation_m }}&nbsp;m</p>
            </li>
        @endforeach
    </ul>
</x-layout>
