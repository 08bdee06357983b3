<x-layout title="Gardens">
    <div class="head">
        <h1>Gardens</h1>
        @can('create', App\Ground\Models\Garden::class)<div class="d-flex gap-2"><a class="btn btn-quiet"
            href="{{ route('files') }}">Files in and out</a><a class="btn btn-primary"
            href="{{ route('gardens.create') }}">Add a garden</a></div>@endcan
    </div>
    <form class="filters" action="{{ route('gardens.index') }}">
        <div><label for="q">Garden, client or address</label><input class="form-control" id="q" name="q" type="search"
            value="{{ $text }}"></div>
        <button class="btn btn-primary">Show</button>
        @if ($text !== '')<a class="btn btn-quiet" href="{{ route('gardens.index') }}">Show all</a>@endif
        <a class="btn btn-quiet" href="{{ route('gardens.index', $isArchive ? [] : ['archived' => 1]) }}">{{ $isArchive
            ? 'Those we work in' : 'Archived ones' }}</a>
    </form>
    @if ($gardens->isEmpty())
        <p class="mt-4">{{ $isArchive && $text === '' ? 'No garden is archived.' : ($text === '' ?
            'No gardens yet. Add the first one, then its plants: their windows are worked out at once.'
            : "No garden matches \"$text\".") }}</p>
    @endif
    <ul class="gardens">
        @foreach ($gardens as $garden)
            <li>
                <h2><a href="{{ route('gardens.show', $garden) }}">{{ $garden->name }}</a></h2>
                <p class="mb-1">{{ $garden->client }}<br><span class="soft">{{ $garden->address }}</span></p>
                <p class="mb-0">{{ $kept[$garden->id]->plants ?? 0 }} {{ ($kept[$garden->id]->plants ?? 0) === 1 ?
                    'plant' : 'plants' }} and groups · {{ $garden->crew?->name ?? 'no crew yet' }} ·
                    {{ $garden->winter }} winter, {{ $garden->elevation_m }}&nbsp;m</p>
                <p class="mb-0 pressing">@foreach ([
                    'closing' => 'closing', 'missed' => 'passed', 'open' => 'open'] as $key => $word)
                    @if ($pressing[$key][$garden->id] ?? 0)<a
                    href="{{ route('season', ['garden' => $garden->id, 'show' => $key]) }}"
                    aria-label="{{ $garden->name }}: {{ $pressing[$key][$garden->id] }} {{ $word }}"
                        ><b>{{ $pressing[$key][$garden->id] }}</b> {{ $word }}</a>@endif @endforeach
                    @if (collect($pressing)->every(fn ($counts) => ! isset($counts[$garden->id])))
                        <span class="soft">nothing open</span>@endif</p>
                @if ($kept[$garden->id]->faults ?? 0)<p class="mb-0 wrong-note">{{ $kept[$garden->id]->faults }}
                    {{ $kept[$garden->id]->faults === 1 ? 'plant' : 'plants' }} could not be worked out in full; the
                    garden's page says why.</p>@endif
            </li>
        @endforeach
    </ul>
    @if ($pages->last > 1)<x-pages :pages="$pages" what="gardens" />@endif
</x-layout>
