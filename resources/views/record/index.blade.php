@use('App\Ground\Models\Firm')
<x-layout title="Record">
    <p class="crumbs">@if ($filter->garden)<a href="{{ route('gardens.show', $filter->garden) }}">{{
        $filter->garden->name }}</a> / @endif Record</p>
    <div class="head"><h1>What was done</h1>@can('update', Firm::class)<a class="btn btn-quiet no-print"
        href="{{ route('reports') }}">Season report</a>@endcan</div>
    <form class="filters no-print" action="{{ route('record') }}">
        <div><label for="q">Plant, place or client</label><input class="form-control" id="q" name="q" type="search"
            value="{{ $filter->text }}"></div>
        <x-garden-field :garden="$filter->garden" />
        <div><label for="season-of">Season</label><input class="form-control" id="season-of" name="season" type="number"
            inputmode="numeric" min="1990" max="2100" value="{{ $filter->season }}"></div>
        <div><label for="outcome">Outcome</label><select class="form-select" id="outcome" name="outcome"><option
            value="">any</option>@foreach (PruningHook\Core\Plant\Outcome::cases() as $outcome)<option value="{{
            $outcome->value }}" @selected($filter->outcome === $outcome)>{{ $outcome->inWords()
            }}</option>@endforeach</select></div>
        <div><label for="found">Found</label><select class="form-select" id="found" name="found"><option
            value="">anything</option>@foreach (App\Ground\Models\Finding::cases() as $finding)<option value="{{
            $finding->value }}" @selected($filter->found === $finding)>{{ $finding->inWords()
            }}</option>@endforeach</select></div>
        <div><label for="left">Left for later</label><select class="form-select" id="left" name="left"><option
            value="">with or without</option><option value="1" @selected($filter->left)>only
            with</option></select></div>
        <button class="btn btn-primary">Show</button>
        <a class="btn btn-quiet" href="{{ route('record.compare') }}">Ways compared</a>
        @if ($filter->isOn())<a class="btn btn-quiet" href="{{ route('record') }}">Show all</a>@endif
    </form>
    @if ($logs->isEmpty())
        <p>{{ $filter->isOn() ? 'No line of the record is like that.'
            : 'Nothing is logged yet. The record begins with the first visit.' }}</p>
    @else
        <x-ledger :logs="$logs" plants :garden="$filter->garden === null" />
        @if ($older)<p class="mt-3"><a class="btn btn-quiet" href="{{ route('record', [...request()->query(), 'before'
            => $older]) }}">Earlier</a></p>@endif
    @endif
</x-layout>
