@use('App\Models\SecurityEventKind')
@use('App\Support\Say')
@use('App\Support\Today')
<x-layout title="Who came in" quiet>
    <p class="crumbs"><a href="{{ route('people.index') }}">People</a></p>
    <h1>Who came in</h1>
    <p class="to-56">Everybody who signed in or tried to, links that were made, opened and shut, and what was taken out
        of the office. It is kept for a year. No password, no link and no address that was only typed stands in it.</p>
    <form class="filters no-print" action="{{ route('security') }}">
        <div><label for="kind">What happened</label><select class="form-select" id="kind" name="kind"><option
            value="">anything</option>@foreach (SecurityEventKind::cases() as $each)<option value="{{ $each->value }}"
            @selected($kind === $each)>{{ $each->inWords() }}</option>@endforeach</select></div>
        <div><label for="who">By</label><select class="form-select" id="who" name="who"><option
            value="">anybody</option>@foreach ($people as $person)<option value="{{ $person->id }}"
            @selected($who === $person->id)>{{ $person->name }}</option>@endforeach</select></div>
        <button class="btn btn-primary">Show</button>
    </form>
    @if ($events->isEmpty())
        <p>{{ $kind === null && $who === 0 ? 'Nothing has happened yet.' : 'Nothing like that has happened.' }}</p>
    @else
        <table class="ledger">
            <thead><tr><th scope="col">When</th><th scope="col">Who</th><th scope="col">What</th><th
                scope="col">From where</th></tr></thead>
            <tbody>
            @foreach ($events as $event)
                <tr>
                    <td class="when">{{ Say::date(Today::of($event->at)) }}, {{ Say::time($event->at) }}</td>
                    <td data-th="Who">{{ $event->user->name ?? ($event->network === null ? 'the office itself'
                        : 'nobody who is signed in') }}</td>
                    <td data-th="What">{{ ucfirst($event->kind->inWords()) }}{{ $event->about === null ? ''
                        : ": {$event->about->name}" }}{{ $event->says === null ? '' : ": $event->says" }}</td>
                    <td data-th="From where">{{ $event->network === null ? 'this machine'
                        : "$event->device, $event->network" }}</td>
                </tr>
            @endforeach
            </tbody>
        </table>
        @if ($older)<p class="mt-3"><a class="btn btn-quiet" href="{{ route('security', [
            ...request()->query(), 'before' => $older]) }}">Earlier</a></p>@endif
    @endif
</x-layout>
