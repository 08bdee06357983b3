@use('App\Ground\Models\Firm')
@php($people = array_column($rota->brief->crews, 'people', 'ref'))
<x-part name="rota" />
<div class="rota" x-data="rota(@js(route('plan.cost', 0)))" x-on:keydown="press($event)">
    <p class="moving" x-ref="says" aria-live="polite" hidden></p>
    <form x-ref="form" method="post" hidden>@csrf @method('put')<input type="hidden" name="on"><input type="hidden"
        name="crew"><input type="hidden" name="from"><input type="hidden" name="sure" value=""></form>
    <div class="rota-days" role="table" aria-label="Crews by days">
        <div role="row" class="rota-row rota-head"><span
            role="columnheader">Crew</span>@foreach ($days as $day)<span
            role="columnheader" @class(['now' => $day->equals($today)])>{{ Say::weekday($day) }}</span>@endforeach
        </div>
        @foreach ($crews as $id => $name)
            <div role="row" class="rota-row">
                <span role="rowheader" class="rota-crew">@if (in_array($id, $full, true)){{ $name }}@else<a
                    href="{{ route('plan', [...request()->query(), 'crew' => $id]) }}#week">{{ $name
                    }}</a>@endif</span>
                @foreach ($days as $day)
                    @php($round = $rota->round($id, $day))
                    @php($why = $off[$id][(string) $day] ?? null)
                    @php($isLost = str_starts_with($why ?? '', 'off'))
                    <div role="cell" @class(['rota-day', 'lost' => $isLost]) data-on="{{ $day }}"
                        data-crew="{{ $id }}" data-label="{{ $name }}, {{ Say::weekday($day) }}">
                        <span class="rota-label">{{ Say::weekday($day) }}</span>
                        @if ($why !== null)<span class="rota-off">{{ $why }}</span>@endif
                        @if ($round === null && ($visits[$id][(string) $day] ?? 0) > 0)
                            <span class="rota-full">{{ $visits[$id][(string) $day] }}
                                {{ $visits[$id][(string) $day] === 1 ? 'visit' : 'visits' }}</span>
                        @endif
                        @if ($round !== null)
                            @if ($round->length === 0)@if ($why === null)<span class="rota-full over">no working
                                day</span>@endif
                            @else<span @class(['rota-full', 'over' => $round->over() > 0])>{{
                                Say::minutes($round->used) }} of {{ Say::minutes($round->length) }}</span>@endif
                            @foreach ($round->visits as $visit)
                                @php($row = $rota->row($visit))
                                @if ($row)<x-visit-card :row="$row" :visit="$visit" :held="$held[$row->id] ?? null"
                                    :today="$today" :timed="$round->length > 0" />@endif
                            @endforeach
                            @can('update', Firm::class)
                                @if ($why === null && ! $day->isBefore($today))
                                    <details class="rota-lose"><summary>Day lost, one ill</summary>
                                        <form method="post" action="{{ route('crews.off', $id) }}">@csrf
                                            <input type="hidden" name="on" value="{{ $day }}">
                                            @foreach (['frost', 'rain', 'all ill'] as $because)
                                                <button class="btn btn-quiet" name="why" value="{{ $because
                                                    }}">{{ ucfirst($because) }}</button>
                                            @endforeach
                                        </form>
                                        @if ($people[$id] > 1)
                                            <form method="post" action="{{ route('crews.off', $id) }}">@csrf
                                                <input type="hidden" name="on" value="{{ $day }}"><input
                                                    type="hidden" name="people" value="{{ $people[$id] - 1 }}">
                                                <button class="btn btn-quiet" name="why" value="one ill">One
                                                    ill</button>
                                            </form>
                                        @endif
                                    </details>
                                @endif
                            @endcan
                        @endif
                    </div>
                @endforeach
            </div>
        @endforeach
    </div>
</div>
