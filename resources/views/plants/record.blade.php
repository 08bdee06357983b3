<x-layout :title="'Record of '.$plant->label">
    <p class="crumbs"><a href="{{ route('gardens.show', $plant->garden) }}">{{ $plant->garden->name }}</a> /
        <a href="{{ route('plants.show', $plant) }}">{{ $plant->label }}</a></p>
    <h1>Record of {{ $plant->label }}</h1>
    <p>{{ $kind->name }}, <em>{{ $kind->botanical }}</em>@if ($plant->planted_on), planted
        {{ Say::date($plant->planted_on) }}@endif.</p>
    @if ($seasons !== [] && $shares !== [])<x-budget :years="$shares" :season="$season" />@endif
    @forelse ($seasons as $each)
        <h2>Season {{ $each->season }}</h2>
        <x-ledger :logs="$each->logs" />
        @if ($each->drawn)
            <figure class="then-after"><x-drawn :drawn="$each->drawn" name="As it stood, and what went" /></figure>
        @endif
        <p class="soft mt-2">{{ $each->minutes }} minutes in all{{ $each->takenPercent > 0 ? '; '
            .$each->takenPercent.' % of its live growth taken' : '' }}. {{ $each->bloomInWords() }}</p>
        <x-pictures :photos="$each->photosShown()" :of="$plant->label" />
        @if (count($each->photos) > count($each->photosShown()))
            <p class="soft">The latest {{ count($each->photosShown()) }} of {{ count($each->photos) }} pictures;
                the rest are on the visit sheets.</p>
        @endif
    @empty
        <p>Nothing is logged yet. The record begins with the first visit;
            <a href="{{ route('plants.show', $plant) }}">the plant's page</a> shows what is due.</p>
    @endforelse
</x-layout>
