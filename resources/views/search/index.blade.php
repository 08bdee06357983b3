<x-layout title="Find">
    <h1>Find</h1>
    <form class="filters" action="{{ route('search') }}">
        <div><label for="find">Plant, kind, place, garden or client</label><input class="form-control" id="find"
            name="q" type="search" value="{{ $text }}"></div>
        <button class="btn btn-primary">Find</button>
    </form>
    <x-part name="scan" />
    <div x-data="scan" x-cloak>
        <button type="button" class="btn btn-quiet" x-show="can" x-on:click="begin">Scan a label</button>
        <div x-show="open" class="mt-2"><video x-ref="video" class="scanned" muted playsinline></video><button
            type="button" class="btn btn-quiet" x-on:click="end">Close the camera</button></div>
        <p class="wrong-note" x-show="says" x-text="says" aria-live="polite"></p>
    </div>
    @if ($text === '')
        <p>Common and botanical names both work: "buddleja" finds every butterfly bush. So does the
            number of a plant, as it stands on its label and on the sheet.</p>
    @elseif ($plants->isEmpty() && $gardens->isEmpty())
        @php($near = $book->nearestName($text))
        <p>Nothing is called "{{ $text }}".@if ($near) Did you mean <a href="{{ route('search', ['q' =>
            $near]) }}">{{ $near }}</a>?@endif</p>
    @endif
    @if ($gardens->isNotEmpty())
        <h2>Gardens</h2>
        <ul class="due">@foreach ($gardens as $garden)<li><span class="what"><a href="{{ route('gardens.show',
            $garden) }}" @if ($loop->first) autofocus @endif>{{ $garden->name }}</a></span><span
            class="when">{{ $garden->client }}</span></li>@endforeach</ul>
    @endif
    @if ($plants->isNotEmpty())
        <h2>Plants</h2>
        <ul class="due">@foreach ($plants as $plant)<li><span class="what"><a href="{{ route('plants.show', $plant) }}"
            @if ($loop->first && $gardens->isEmpty()) autofocus @endif>{{ $plant->label }}</a></span><span
            class="when">{{ $plant->garden->name }}</span><span class="where">{{ $book->nameOf($plant->kind) }},
            {{ $plant->bed }}</span></li>@endforeach</ul>
    @endif
    @if ($more)<p class="soft mt-2">There are more. Write more of the name, or look in the
        <a href="{{ route('season', ['q' => $text]) }}">season</a>, which shows all of them.</p>@endif
</x-layout>
