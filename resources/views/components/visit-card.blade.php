@props(['row', 'visit', 'held', 'today', 'timed' => true])
@use('PruningHook\Core\Planning\Season\Visit')
{{-- One visit on the plan: what it is, what holds it, and the ways to move it. --}}
<article @class(['card-visit', 'stands' => $row->stands(), 'held' => $held !== null]) id="visit-{{ $row->id }}"
    data-visit="{{ $row->id }}" data-name="{{ $row->garden->name }}" draggable="true">
    <a href="{{ route('visits.show', $row) }}">{{ $row->garden->name }}</a>
    <span>@if ($timed){{ Visit::clock($visit->start) }} to {{ Visit::clock($visit->end) }},
        @endif{{ count($visit->tasks) }}
        {{ count($visit->tasks) === 1 ? 'task' : 'tasks' }}</span>
    @if ($row->locked)<span class="mark-note">locked</span>@endif
    @if ($row->confirmed)<span class="mark-note">client knows</span>@endif
    @if ($row->outside_reason)<span class="mark-note">outside: {{ $row->outside_reason }}</span>@endif
    @if ($held)<span class="mark-note">held: {{ $held }}</span>@endif
    @can('update', $row)
        @if (! $row->on->isBefore($today))
            <span class="card-acts no-print">
                <button type="button" class="btn btn-quiet d-none d-md-inline-block" data-move
                    aria-label="Move {{ $row->garden->name }}">Move</button>
                <details><summary class="btn btn-quiet" aria-label="More of {{ $row->garden->name }}">More</summary>
                    @php($stands = ['locked' => ['Lock', 'Unlock'], 'confirmed' => ['Client knows', 'Client does not']])
                    @foreach ($stands as $what => [$on, $out])
                        <form method="post" action="{{ route('plan.stand', $row) }}">@csrf @method('put')<input
                            type="hidden" name="what" value="{{ $what }}"><button class="btn btn-quiet" name="is"
                            value="{{ $row->$what ? 0 : 1 }}">{{ $row->$what ? $out : $on }}</button></form>
                    @endforeach
                </details>
            </span>
        @endif
    @endcan
</article>
