<x-layout :title="'Stems of '.$plant->label.' as a plant'">
    <p class="crumbs"><a href="{{ route('gardens.show', $plant->garden) }}">{{ $plant->garden->name }}</a> /
        <a href="{{ route('plants.show', $plant) }}">{{ $plant->label }}</a> /
        <a href="{{ route('stems.show', $plant) }}">Survey and judge</a></p>
    <h1>As a plant</h1>
    @forelse ($portraits as $portrait)
        <section class="drawn" aria-labelledby="view-{{ $portrait->view->value }}">
            <h2 class="mt-0" id="view-{{ $portrait->view->value }}">{{ ucfirst($portrait->view->inWords()) }}</h2>
            <x-portrait :p="$portrait" :name="$plant->label.', '.$portrait->view->inWords()" />
            @if ($loop->first)<p class="soft mb-0">{{
                Say::prose($portrait->says) }}. Each stem where it was surveyed, as long
                and as old as it was said to be, with branches as its kind makes them; broken and rust is what the
                judge takes out, in its order.</p>@endif
        </section>
    @empty<p>No stem stands in this season's survey. <a href="{{ route('stems.show', $plant) }}">Survey its
        stems</a></p>
    @endforelse
    @if ($portraits !== [])<x-cuts :cuts="$judged->cuts" />@endif
</x-layout>
