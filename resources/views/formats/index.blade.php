@use('App\Ground\Models\Crew')
@use('App\Ground\Models\Import')
<x-layout title="Files">
    <p class="crumbs"><a href="{{ route('plan') }}">Plan</a> / <a href="{{ route('crews.index') }}">Crews</a></p>
    <div class="head"><h1>Files in and out</h1><a class="btn btn-quiet"
        href="{{ route('integrations') }}">Integrations</a></div>
    <div class="row">
        <section class="col-lg-6" aria-labelledby="out">
            <h2 id="out">Out</h2>
            <ul class="plain">
                <li><a href="{{ route('export', 'plants') }}">Plants</a>, a table (CSV)</li>
                <li><a href="{{ route('export', 'gardens') }}">Gardens</a>, a table (CSV)</li>
                <li><a href="{{ route('export.logs') }}">The record</a>, a line for each log (CSV)</li>
                <li><a href="{{ route('export.calendar') }}">Visits</a> of the last two months and all to come
                    (iCalendar)</li>
                <li><a href="{{ route('export.places') }}">Gardens with their plants</a>, for a map (GeoJSON)</li>
                <li><a href="{{ route('export.firm') }}">Everything, with the photos</a>, for another installation (ZIP)
                    </li>
            </ul>
        </section>
        <section class="col-lg-6" aria-labelledby="in">
            <h2 id="in">In</h2>
            <p>A table from any spreadsheet, gardens or plants from a map, or a calendar whose visits stand on other
                days. It is read first and shown line by line; nothing is kept until you say so.</p>
            <form method="post" action="{{ route('files.store') }}" enctype="multipart/form-data" novalidate>
                @csrf<x-once />
                <x-field name="of" label="Contents" :options="['plants' => 'plants', 'gardens' => 'gardens',
                    'visits' => 'visits that moved', 'logs' => 'the record of years before']" value="plants" />
                <x-field name="file" label="File" type="file" accept=".csv,.txt,.tsv,.json,.geojson,.ics" required
                    help="CSV with the columns of the tables under Out; plants need only garden and kind, the record
                    only on, garden, plant and task." />
                <button class="btn btn-primary">Preview</button>
            </form>
            @if ($imports->isNotEmpty())
                <h3>Read lately</h3>
                <ul class="plain">
                    @foreach ($imports as $import)<li><a href="{{ route('files.show', $import) }}">{{ $import->name
                        }}</a>, {{ $import->of }}: {{ match ($import->status) { Import::READ => 'waits for your word',
                        Import::DONE => 'taken in', Import::TAKEN_BACK => 'taken back',
                        Import::REFUSED => 'refused', default => 'under way' } }}</li>
                    @endforeach
                </ul>
            @endif
        </section>
    </div>
    <section aria-labelledby="feeds">
        <h2 id="feeds">Calendars to subscribe to</h2>
        <p class="to-56">A phone's or a client's calendar reads visits by a private link and keeps up by itself. Whoever
            has the link reads it; shut it, and it is empty for everybody.</p>
        @if (session('feed'))<p class="said"><span>{{ session('feed') }}</span></p>@endif
        <ul class="due to-56">
            @foreach ($feeds as $feed)
                <li>
                    <span class="what">{{ $feed->crew->name ?? 'All crews' }}{{ $feed->garden ? ', '.$feed->garden->name
                        : '' }}</span>
                    <span class="where">since {{ Say::date(Today::of($feed->created_at)) }}</span>
                    <form class="act" method="post" action="{{ route('feeds.destroy', $feed) }}">@csrf
                        @method('delete')<button class="btn btn-quiet">Shut it</button></form>
                </li>
            @endforeach
        </ul>
        @if ($feeds->isEmpty())<p>There is none yet.</p>@endif
        <form class="filters" method="post" action="{{ route('feeds.store') }}" novalidate>
            @csrf<x-once />
            <div><x-field name="crew_id" label="Crew" :options="Crew::names()" empty="all crews" /></div>
            <div><x-field name="garden" label="Garden, where only one" /></div>
            <button class="btn btn-quiet mb-3">Make a link</button>
        </form>
    </section>
</x-layout>
