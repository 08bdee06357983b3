<x-layout title="Round">
    <div class="head">
        <div><p class="crumbs">Round</p><h1>{{ Say::longDate($today) }}</h1></div>
        <form class="filters mb-0" action="{{ route('round') }}">
            <div><label for="crew">Crew</label><select class="form-select" id="crew" name="crew"><option value="">all
                crews</option>@foreach ($crews as $id => $called)<option value="{{ $id }}"
                @selected($crew === $id)>{{ $called }}</option>@endforeach</select></div>
            <button class="btn btn-quiet">Show</button>
        </form>
    </div>
    @if ($pocket !== [])<p class="soft mb-2" data-day="{{ json_encode($pocket) }}">Today and
        tomorrow are being put on this phone.</p>@endif
    @if ($day)<x-round-day :day="$day" :work="$work" />@endif
    @php($lists = ['Today' => [$now, 'No visit today.', $pages['now']], 'Still to be logged' => [$unlogged, null,
        $pages['unlogged']], 'Coming' => [$coming, 'No visit is planned ahead.', null], 'Lately' => [$past, null,
        null]])
    @foreach ($lists as $name => [$visits, $empty, $of])
        @continue($visits->isEmpty() && $empty === null || $day && $name === 'Today')
        <h2>{{ $name }}</h2>
        @if ($visits->isEmpty())<p>{{ $empty }} Visits are planned from a garden's page or from the season.</p>@endif
        <ul class="due">
            @foreach ($visits as $visit)
                <li>
                    <span class="what"><a href="{{ route('visits.show',
                        $visit) }}">{{ $visit->garden->name }}</a></span>
                    <span class="when">{{ Say::date($visit->on) }}@if ($crew === null),
                        {{ $crews[$visit->crew_id] ?? 'no crew yet' }}@endif</span>
                    <span class="where">{{ implode(', ', $work[$visit->id]['plants']) }}</span>
                    <span class="act">{{ $work[$visit->id]['tasks'] - $visit->unlogged }} of
                        {{ $work[$visit->id]['tasks'] }} logged,
                        {{ Say::minutes($work[$visit->id]['minutes']) }}</span>
                </li>
            @endforeach
        </ul>
        @if ($of && $of->last > 1)<x-pages :pages="$of" what="visits" />@endif
    @endforeach
</x-layout>
