@use('App\Ground\Models\SecurityEventKind')
<x-layout title="Security log" quiet>
    <p class="crumbs"><a href="{{ route('people.index') }}">People</a></p>
    <h1>Security log</h1>
    <p class="to-56">Sign-ins and failed attempts, links created, opened and closed, and data exported.
        Passwords, links and mistyped addresses are not recorded.</p>
    <form class="filters no-print" action="{{ route('security') }}">
        <div><label for="kind">Event</label><select class="form-select" id="kind" name="kind"><option
            value="">any</option>@foreach (SecurityEventKind::cases() as $each)<option value="{{ $each->value }}"
            @selected($kind === $each)>{{ $each->inWords() }}</option>@endforeach</select></div>
        <div><label for="who">Person</label><select class="form-select" id="who" name="who"><option
            value="">anyone</option>@foreach ($people as $person)<option value="{{ $person->id }}"
            @selected($who === $person->id)>{{ $person->name }}</option>@endforeach</select></div>
        <button class="btn btn-primary">Show</button>
    </form>
    @if ($events->isEmpty())
        <p>{{ $kind === null && $who === 0 ? 'No events yet.' : 'No matching events.' }}</p>
    @else
        <table class="ledger">
            <thead><tr><th scope="col">When</th><th scope="col">Who</th><th scope="col">Event</th><th
                scope="col">From</th></tr></thead>
            <tbody>
            @foreach ($events as $event)
                <tr>
                    <td class="when">{{ Say::date(Today::of($event->at)) }}, {{ Say::time($event->at) }}</td>
                    <td data-th="Who">{{ $event->user->name ?? ($event->network === null ? 'System'
                        : 'Not signed in') }}</td>
                    <td data-th="Event">{{ ucfirst($event->kind->inWords()) }}{{ $event->about === null ? ''
                        : ": {$event->about->name}" }}{{ $event->says === null ? '' : ": $event->says" }}</td>
                    <td data-th="From">{{ $event->network === null ? 'This server'
                        : "$event->device, $event->network" }}</td>
                </tr>
            @endforeach
            </tbody>
        </table>
        @if ($older)<p class="mt-3"><a class="btn btn-quiet" href="{{ route('security', [
            ...request()->query(), 'before' => $older]) }}">Earlier</a></p>@endif
    @endif
</x-layout>
