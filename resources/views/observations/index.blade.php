<x-layout :title="'Signs of '.$half.' at '.$garden->name">
    <div class="sheet">
        <p class="crumbs"><a href="{{ route('gardens.show', $garden) }}">{{ $garden->name }}</a></p>
        <h1>Signs of {{ $half }}</h1>
        @php($moved = $half === 'autumn' ? $year->seen->autumn : $year->seen->spring)
        @if ($moved->days === 0)
            <p>{{ ucfirst($half) }} {{ $year->season }} is taken as an average one{{ $moved->from === [] ?
                ': nothing has been seen yet' : '' }}. Two signs or more, here or within 30 km, move it.</p>
        @else
            <p><b>{{ ucfirst($half) }} {{ $year->season }} is
                {{ \PruningHook\Core\PlantBook\SeasonReader::late($moved->days) }}</b> here. Windows that hang on
                {{ $half }} have moved with it.</p>
        @endif
        @if ($isHearing)
            <p class="soft">Recent signs are still being applied to gardens within 30 km; their windows may still move
                by a few days.</p>
        @endif
        @can('create', [App\Ground\Models\Observation::class, $garden])
            <form method="post" action="{{ route('observations.store', $garden) }}" novalidate>
                @csrf<x-once />
                <fieldset class="log-field"><legend>What was seen?</legend>
                    <div class="taps">
                        @foreach (App\Ground\Models\Observation::inHalf($half) as $event => $name)
                            <label><input type="radio" name="event" value="{{ $event }}"
                                @checked(old('event') === $event)><span>{{ $name }}</span></label>
                        @endforeach
                    </div>
                    @error('event')<div class="invalid-feedback d-block">{{ $message }}</div>@enderror
                </fieldset>
                <x-field name="on" label="On" type="date" :value="(string) $today"
                    :max="(string) $today" width="to-16" />
                <button class="btn btn-primary note-it">Note it</button>
            </form>
        @endcan
        @if ($warmth !== [])
            <h2>Warmth</h2>
            <p class="mb-1">Since the turn of the year: <b>{{ $warmth[0]->sum }}</b> degree days (base 50 °F).
                <span class="soft">(simulated station)</span></p>
            <ul class="due">
                @foreach ($warmth as $each)
                    <li><span class="what">{{ $each->kind->name }} in flower</span><span
                        class="when">{{ $each->reached ? 'reached '.Say::date($each->reached)
                        : 'about '.Say::date($each->foretold) }}</span><span class="where">at about
                        {{ $each->needed }} degree days</span></li>
                @endforeach
            </ul>
        @endif
        <h2>Seen this season</h2>
        @if ($seen->isEmpty())<p>Nothing yet in this garden.</p>@endif
        <ul class="due">
            @foreach ($seen as $each)
                <li><span class="what">{{ App\Ground\Models\Observation::SIGNS[$each->event] }}</span><span
                    class="when">{{ Say::date($each->on) }}</span>
                    <span class="where">{{ $each->seenBy?->name }}</span>
                    <span class="act">@can('delete', $each)<form method="post" action="{{ route('observations.destroy',
                        $each) }}">@csrf @method('delete')<button class="btn btn-link"
                        aria-label="Take back: {{ App\Ground\Models\Observation::SIGNS[$each->event] }}">Take
                        back</button></form>@endcan</span></li>
            @endforeach
        </ul>
        @if ($moved->days !== 0)
            <h2>Why</h2>
            <ul>@foreach ($moved->from as $line)<li>{{ ucfirst($line) }}</li>@endforeach</ul>
            <p class="soft">The median of them is taken, so that one odd plant does not move the season.</p>
        @endif
    </div>
</x-layout>
