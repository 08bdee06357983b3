<x-layout :title="'Labels of '.$garden->name">
    <div class="no-print">
        <p class="crumbs"><a href="{{ route('gardens.index') }}">Gardens</a> / <a href="{{ route('gardens.show',
            $garden) }}">{{ $garden->name }}</a></p>
        <h1>Labels</h1>
        <p class="to-56">Print this page: a sheet of {{ $pages->per }}. The code leads to the plant's page; its number
            finds it as well, typed under <a href="{{ route('search') }}">Find</a>.</p>
        @if ($plants->isEmpty())<p>There is no plant here yet.</p>@endif
        @if ($pages->last > 1)<x-pages :pages="$pages" what="labels" />@endif
    </div>
    <x-part name="labels" />
    <ul class="labels" x-data="labels">
        @foreach ($plants as $plant)
            <li data-code="{{ App\Ground\Support\OutsideLink::to(route('plants.show',
                $plant, false)) }}"><span><b>{{ $plant->label
                }}</b><br>{{ $book->nameOf($plant->kind) }}{{ $plant->bed ? ', '.$plant->bed : '' }}<br><span
                class="number">{{ $plant->id }}</span></span></li>
        @endforeach
    </ul>
</x-layout>
