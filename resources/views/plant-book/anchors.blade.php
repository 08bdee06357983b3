<x-layout title="Anchors of the year">
    <p class="crumbs"><a href="{{ route('plant-book.index') }}">Plant book</a></p>
    <h1>Anchors of the year</h1>
    <p>Windows hang on these, with a number of days: <span class="figure">last-frost-14</span> is two weeks before the
        average last frost. The earliest or latest of several may be asked for:
        <span class="figure">latest(bloom-end, last-frost+21)</span>.@if ($garden) Days are shown for season
        {{ $season }} at {{ $garden->name }}.@endif</p>
    <table class="ledger to-46">
        <thead><tr><th scope="col">Anchor</th><th scope="col">What it is</th><th scope="col">Day</th></tr></thead>
        <tbody>@foreach ($anchors as $each)<tr><td
            class="figure">{{ $each['anchor']->value }}</td><td>{{ $each['anchor']->inWords() }}</td><td>{{ $each['day']
            ? Say::date($each['day']) : 'by kind' }}</td></tr>@endforeach</tbody>
    </table>
</x-layout>
