<x-layout :title="'Record of '.$plant->label">
    <p class="crumbs"><a href="{{ route('gardens.show', $plant->garden) }}">{{ $plant->garden->name }}</a> /
        <a href="{{ route('plants.show', $plant) }}">{{ $plant->label }}</a></p>
    <h1>Record of {{ $plant->label }}</h1>
    <p>{{ $kind->name }}, <em>{{ $kind->botanical }}</em>@if ($plant->planted_on), planted
        {{ \App\Support\Say::date($plant->planted_on) }}@endif.</p>
    @forelse ($seasons as $season)
        <h2>Season {{ $season->season }}</h2>
        <x-ledger :logs="$season->logs" />
        <p class="soft mt-2">{{ $season->minutes }} minutes in all{{ $season->takenPercent > 0 ? '; '
            .$season->takenPercent.' % of its live growth taken' : '' }}. {{ $season->bloomInWords() }}</p>
        <x-pictures :photos="$season->photos" :of="$plant->label" />
    @empty
        <p>Nothing is logged yet. The record begins with the first visit;
            <a href="{{ route('plants.show', $plant) }}">the plant's page</a> shows what is due.</p>
    @endforelse
</x-layout>
