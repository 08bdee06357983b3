<x-layout :title="'Stems of '.$plant->label.' from the side'">
    <p class="crumbs"><a href="{{ route('gardens.show', $plant->garden) }}">{{ $plant->garden->name }}</a> /
        <a href="{{ route('plants.show', $plant) }}">{{ $plant->label }}</a> /
        <a href="{{ route('stems.show', $plant) }}">Survey and judge</a></p>
    <h1>From the side</h1>
    @if ($portrait === null)<p>No stem stands in this season's survey. <a
        href="{{ route('stems.show', $plant) }}">Survey its stems</a></p>
    @else
        <section class="drawn"><x-portrait :p="$portrait" :name="$plant->label" />
            <p class="soft mb-0">{{ $portrait->says }}. Each stem where it was surveyed, as long and as old as it was
                said to be, with branches as its kind makes them; broken and rust is what the judge takes out, in its
                order. From the south.</p></section>
        <x-cuts :cuts="$judged->cuts" />
    @endif
</x-layout>
