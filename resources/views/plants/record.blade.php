<x-layout :title="'Record of '.$plant->label">
    <p class="crumbs"><a href="{{ route('gardens.show', $plant->garden) }}">{{ $plant->garden->name }}</a> /
        <a href="{{ route('plants.show', $plant) }}">{{ $plant->label }}</a></p>
    <h1>Record of {{ $plant->label }}</h1>
    <p>{{ $kind->name }}, <em>{{ $kind->botanical }}</em>@if ($plant->planted_on), planted
        {{ \App\Support\Say::date($plant->planted_on) }}@endif.</p>
    @forelse ($seasons as $season => $logs)
        <h2>Season {{ $season }}</h2>
        <x-ledger :logs="$logs" />
        <p class="soft mt-2">{{ $logs->sum('minutes') }} minutes in all{{ $logs->sum('removed_percent') > 0 ? '; about '
            .$logs->sum('removed_percent').' % of its live growth taken' : '' }}.@isset($blooms[$season])
            @isset($foretold[$season]) Flowers were foretold at {{ $foretold[$season] }}.@endisset
            It flowered at {{ \App\Support\Say::length($blooms[$season]->flowering_height_mm) }}{{
            $blooms[$season]->score ? ', '.App\Models\BloomNote::SCORES[$blooms[$season]->score] : '' }}.@endisset</p>
        @php($photos = $logs->flatMap(fn ($log) => $log->visitTask->photos))
        @if ($photos->isNotEmpty())
            <ul class="pictures">@foreach ($photos as $photo)<li><a href="{{ route('photos.show', $photo) }}"><img
                src="{{ route('photos.show', $photo) }}" alt="{{ $plant->label }} {{ $photo->moment }} the work"
                width="{{ $photo->width }}" height="{{ $photo->height }}" loading="lazy"></a></li>@endforeach</ul>
        @endif
    @empty
        <p>Nothing is logged yet. The record begins with the first visit;
            <a href="{{ route('plants.show', $plant) }}">the plant's page</a> shows what is due.</p>
    @endforelse
</x-layout>
