@php($title = $crew->exists ? 'Edit '.$crew->name : 'Add a crew')
@php($clock = fn (?int $minutes) => $minutes === null ? '' : PruningHook\Core\Planning\Season\Visit::clock($minutes))
<x-layout :title="$title">
    <p class="crumbs"><a href="{{ route('crews.index') }}">Crews</a></p>
    <h1>{{ $title }}</h1>
    <form method="post" action="{{ $crew->exists ? route('crews.update', $crew) : route('crews.store') }}"
        class="to-48" novalidate>
        @csrf<x-version :of="$crew" /> @unless ($crew->exists)<x-once />@endunless
        @if ($crew->exists) @method('put') @endif
        <div class="row">
            <div class="col-md-8"><x-field name="name" label="Name" :value="$crew->name" required /></div>
            <div class="col-md-4"><x-field name="people" label="People" :value="$crew->people" required
                inputmode="numeric" /></div>
        </div>
        <fieldset><legend>What they can handle</legend>
            @foreach (App\Ground\Models\Crew::SKILLS as $skill)
                <div class="form-check form-check-inline"><input class="form-check-input" type="checkbox"
                    id="skill-{{ $skill }}" name="skills[]" value="{{ $skill }}" @checked(in_array($skill, (array)
                    Asked::listBefore('skills', session()->hasOldInput() ? [] : $crew->skills), true))><label
                    class="form-check-label" for="skill-{{ $skill }}">{{ ucfirst($skill) }}</label></div>
            @endforeach
            <div class="form-check mt-2"><input class="form-check-input" type="checkbox" id="overtime" name="overtime"
                value="1" @checked(Asked::before('overtime', session()->hasOldInput() ? false : $crew->overtime))><label
                class="form-check-label" for="overtime">A day may be up to an hour longer</label></div>
        </fieldset>
        <fieldset><legend>Their week</legend>
            <p class="soft">From leaving the depot to being back. Leave a day empty on which they do not work. No day is
                planned longer than the sun is up.</p>
            @foreach (App\People\CrewRequest::WEEKDAYS as $weekday => $name)
                <div class="row align-items-start">
                    <div class="col-4 pt-4">{{ $name }}</div>
                    <div class="col-4"><x-field name="week[{{ $weekday }}][from]" label="From" type="time"
                        :value="$clock($crew->week[$weekday][0] ?? null)" /></div>
                    <div class="col-4"><x-field name="week[{{ $weekday }}][to]" label="To" type="time"
                        :value="$clock($crew->week[$weekday][1] ?? null)" /></div>
                </div>
            @endforeach
        </fieldset>
        <div class="d-flex gap-2 mt-3"><button class="btn btn-primary">Save</button><a class="btn btn-quiet"
            href="{{ route('crews.index') }}">Cancel</a></div>
    </form>
    @if ($crew->exists)
        <h2>Days off</h2>
        <ul class="due to-48">
            @foreach ($off as $day)
                <li><span class="what">{{ Say::longDate($day->on) }}</span><span
                    class="where">{{ $day->why }}{{ $day->people === null ? ''
                    : "; $day->people working" }}</span><form class="act" method="post"
                    action="{{ route('crews.on', $day) }}">@csrf @method('delete')<button
                    class="btn btn-quiet">Remove day off</button></form></li>
            @endforeach
        </ul>
        @if (count($off) === 0)<p>None ahead.</p>@endif
        <form class="filters" method="post" action="{{ route('crews.off', $crew) }}" novalidate>
            @csrf<x-once />
            <div><x-field name="on" label="Day" type="date" :value="(string) $today" bag="off" /></div>
            <div><x-field name="why" label="Why: holiday, ill, frost" bag="off" /></div>
            <div><x-field name="people" label="People working all the same" inputmode="numeric"
                bag="off" /></div>
            <button class="btn btn-quiet mb-3">Keep</button>
        </form>
    @endif
</x-layout>
