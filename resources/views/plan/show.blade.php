@use('App\Ground\Models\Firm')
@use('PruningHook\Core\Planning\Season\Visit')
<x-layout title="Plan">
    <div class="head">
        <div><p class="crumbs">Plan</p><h1>Week of {{ Say::date($monday) }}</h1></div>
        <p class="mb-0"><a class="btn btn-quiet" href="{{ route('crews.index') }}">Crews and depot</a></p>
    </div>
    <a class="skip" href="#closing">To what closes soon</a>
    @error('move')<div class="said wrong" role="alert">{{ $message }}</div>@enderror
    @foreach ($errors->off->all() as $says)<div class="said wrong" role="alert">{{ $says }}</div>@endforeach
    @if ($draft?->status->isUnderWay())
        <div class="said" role="status"><span>A plan is being made, or made true.</span>
            <a href="{{ route('drafts.show',
            $draft) }}">See how far it is</a></div>
    @elseif ($draft?->status === App\Ground\Models\DraftStatus::Ready)
        <div class="said" role="status"><span>A plan is ready: {{ count($draft->result['changes'] ?? []) }}
            changes.</span> <a href="{{ route('drafts.show', $draft) }}">Look at the difference</a></div>
    @endif
    @if ($counts['lost'] > 0)<p class="held-note">{{ $counts['lost'] }} {{ $counts['lost'] === 1 ? 'visit stands'
        : 'visits stand' }} on a day that is lost. Make a plan, and little else moves.</p>@endif
    @can('update', Firm::class)
        <form class="filters no-print" method="post" action="{{ route('drafts.store') }}">
            @csrf<x-once />
            <div><label for="weeks">Plan</label><select class="form-select" id="weeks" name="weeks">
                @foreach (App\Planning\DraftController::WEEKS as $count => $words)<option value="{{ $count }}"
                    @selected($count === 12)>{{ $words }}</option>@endforeach</select></div>
            <div><label for="stay">Existing visits</label><select class="form-select stay" id="stay"
                name="stay">
                <option value="little" @selected($counts['lost'] > 0)>moves as little as can be</option>
                <option value="some" @selected($counts['lost'] === 0)>moves where it is worth it</option>
                <option value="anew">may all move</option></select></div>
            <button class="btn btn-primary" data-key="p">Make a plan</button>
            @error('weeks')<p class="wrong-note mb-0">{{ $message }}</p>@enderror
        </form>
    @endcan

    <h2>The months ahead <span class="soft unit">hours of one person, of those all crews have</span></h2>
    <x-load-bars :bars="$months" says="hours of one person that are at their best, of those all crews have" />

    <h2>Crews by weeks <span class="soft unit">hours of visits, of those the crew has</span></h2>
    @if ($crews === [])<p>There is no crew yet. <a href="{{ route('crews.create') }}">Add one</a>, and its weeks stand
        here.</p>@endif
    <div class="crew-weeks">
        @foreach ($crews as $id => $name)
            <h3 class="crew-name">{{ $name }}</h3>
            <x-load-bars :bars="$weeks[$id] ?? []" :says="'hours of visits, of those '.$name.' has'"
                :chosen="(string) $monday" />
        @endforeach
    </div>
    @if ($pages->last > 1)<x-pages :pages="$pages" what="crews" />@endif

    <div class="head mt-4">
        <h2 class="mb-0 mt-0" id="week">The week</h2>
        <p class="mb-0"><a class="btn btn-quiet" data-key="," href="{{ route('plan', ['week' => (string)
            $monday->minus(7)]) }}#week">Week before</a> <a class="btn btn-quiet" data-key="." href="{{ route('plan',
            ['week' => (string) $monday->plus(7)]) }}#week">Week after</a></p>
    </div>
    <p class="soft no-print d-md-none">A visit is moved from its own sheet.</p>
    <p class="soft no-print d-none d-md-block">A visit is moved by dragging it, or with its Move button and the arrow
        keys: what that
        costs and breaks is said before it is done.</p>
    @include('plan.rota')
    @if ($map)<h2>The week's rounds</h2><x-round-map :map="$map" :crews="$crews" :names="$rota->visits->mapWithKeys(fn
        ($visit) => [$visit->garden_id => $visit->garden->name])->all()" />
    @elseif ($rota->audit->rounds !== [])<p class="soft">Say where the <a href="{{ route('crews.index') }}">depot</a>
        is,
        and the week's rounds are drawn.</p>@endif

    @if ($crewless !== [])
        <h2>Visits without a crew</h2>
        <ul class="due to-56">
            @foreach ($crewless as $visit)<li><span class="what"><a href="{{ route('visits.show',
                $visit['id']) }}">{{ $visit['garden'] }}</a></span><span
                class="when">{{ Say::weekday($visit['on']) }}</span></li>@endforeach
        </ul>
        <p class="soft">A plan gives them one.</p>
    @endif
    <h2 id="closing" tabindex="-1">Closing within six weeks, on no visit: {{ $counts['unplanned'] > count($waiting)
        ? 'more than '.count($waiting) : $counts['unplanned'] }}</h2>
    @if ($waiting === [])<p>All that closes soon is planned.</p>@endif
    <ul class="due to-56">
        @foreach ($waiting as $task)<li><span class="what"><a href="{{ Gate::allows('update', Firm::class)
            ? route('visits.create', [$task['id'], 'tasks' => [$task['choice']]])
            : route('plants.show', $task['plant']) }}">{{ $task['label'] }}</a></span><span
            class="when">closes {{ Say::date($task['closes']) }}</span><span
            class="where">{{ $task['garden'] }}</span></li>@endforeach
    </ul>
</x-layout>
