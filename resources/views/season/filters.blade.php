<form class="filters no-print" action="{{ route('season') }}">
    @if ($filter->show)<input type="hidden" name="show" value="{{ $filter->show->value }}">@endif
    <div><label for="q">Plant, place or client</label><input class="form-control" id="q" name="q" type="search"
        value="{{ $filter->text }}"></div>
    <x-garden-field :garden="$filter->garden" />
    <div><label for="crew">Crew</label><select class="form-select" id="crew" name="crew"><option value="">all
        crews</option>@foreach ($crews as $id => $called)<option value="{{ $id }}"
        @selected($filter->crew === $id)>{{ $called }}</option>@endforeach</select></div>
    <div><label for="kind">Kind</label><select class="form-select" id="kind" name="kind"><option value="">all
        kinds</option>@foreach (collect($book->names)->sortBy('name') as $kind)<option value="{{ $kind->id }}"
        @selected($filter->kind === $kind->id)>{{ $kind->name }}</option>@endforeach</select></div>
    <div><label for="by">Rows by</label><select class="form-select" id="by"
        name="by">@foreach (App\Season\Grouping::cases() as $by)<option value="{{ $by->value }}"
        @selected($filter->by === $by)>{{ $by->value }}</option>@endforeach</select></div>
    <div><label for="zoom">Wall shows a</label><select class="form-select" id="zoom"
        name="zoom">@foreach (App\Season\Zoom::cases() as $zoom)<option value="{{ $zoom->value }}"
        @selected($filter->zoom === $zoom)>{{ $zoom->value }}</option>@endforeach</select></div>
    <button class="btn btn-primary">Show</button>
    @if ($filter->isOn())<a class="btn btn-quiet" href="{{ route('season') }}">Show all</a>@endif
</form>
