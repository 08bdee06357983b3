<x-layout title="Plan a visit">
    <p class="crumbs"><a href="{{ route('gardens.index') }}">Gardens</a> /
        <a href="{{ route('gardens.show', $garden) }}">{{ $garden->name }}</a></p>
    <h1>Plan a visit to {{ $garden->name }}</h1>
    <x-part name="plan" />
    <form method="post" action="{{ route('visits.store', $garden) }}" class="plan-grid" x-data="plan" x-ref="form"
        data-preview="{{ route('visits.preview', $garden) }}" novalidate>
        @csrf<x-once />
        <section aria-labelledby="choose">
            <h2 id="choose" class="mt-0">Choose tasks</h2>
            <a class="skip" href="#day">To the day</a>
            @error('tasks')<p class="invalid-feedback d-block">{{ $message }}</p>@enderror
            @if ($rows === [])
                <p>Nothing is due here in the next six months, or all of it is planned.
                    <a href="{{ route('gardens.show', $garden) }}">Back to the garden</a></p>
            @endif
            @if ($isLong)<p class="soft">The first to open stand here. The others are planned from
                <a href="{{ route('season', ['garden' => $garden->name]) }}">the season</a>.</p>@endif
            <ul class="pick">
                @foreach ($rows as $row)
                    <li><label>
                        <input class="form-check-input" type="checkbox" name="tasks[]" value="{{ $row->choice() }}"
                            @disabled($row->due->task->handsOff) @checked(! $row->due->task->handsOff &&
                            in_array((string) $row->choice(), $chosen, true)) @change="refresh()">
                        <span><b>{{ $row->plant->label }}</b><br><span class="soft">{{ $row->due->task->name }},
                            {{ $row->due->task->handsOff ? 'an arborist\'s job: it '.$row->due->task->handsOff
                            : Say::minutes($row->due->task->minutes) }}; open
                            {{ Say::date($row->due->task->window->opens) }} to
                            {{ Say::date($row->due->task->window->closes) }}</span></span>
                        <x-urgency :due="$row->due" />
                    </label></li>
                @endforeach
            </ul>
        </section>
        <div class="aside" id="day" tabindex="-1">
            <div x-ref="common" aria-live="polite">@include('visits.common')</div>
            <p x-show="busy" x-cloak class="soft">Working out the common days…</p>
            <p x-show="failed" x-cloak class="wrong-note"><span x-text="failed"></span> Your choice is kept; change it
                again or plan the visit, and it is checked then.</p>
            <x-field name="on" label="Day of the visit" type="date" :value="(string) $on" required
                :min="(string) $today" x-on:change="refresh()" />
            <x-field name="outside_reason" label="Reason, if the day is outside the common days"
                :value="Asked::text(request(), 'outside_reason')" help="Shown on the sheet and kept in the record." />
            <x-field name="crew_id" label="Crew" :value="$garden->crew_id" :options="$crews" empty="no crew yet" />
            <button class="btn btn-primary w-100" data-key="p">Plan the visit</button>
        </div>
    </form>
</x-layout>
