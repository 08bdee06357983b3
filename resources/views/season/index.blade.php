@use('App\Ground\Models\Firm')
@php($names = ['closing' => 'Closing within two weeks', 'missed' => 'Passed and not logged', 'open' => 'Open now',
    'coming' => 'Coming in six weeks'])
<x-layout title="Season">
    <div class="head">
        <div>
            <p class="crumbs">Season</p>
            <h1>{{ Say::longDate($today) }}</h1>
        </div>
        <p class="tally mb-0">
            @foreach ($names as $key => $name)
                <a href="{{ route('season', [...request()->except(['show', 'list', 'groups']), ...($filter->show?->value
                    === $key ? [] : ['show' => $key])]) }}" @if ($filter->show?->value === $key) aria-current="true"
                    @endif><b>{{ $counts[$key] > $most
                    ? number_format($most).'+' : number_format($counts[$key]) }}</b>{{ ['closing' => 'closing',
                    'missed' => 'passed', 'open' => 'open', 'coming' => 'coming'][$key]
                    }}{{ $ready->isWhole() ? '' : ' so far' }}</a>
            @endforeach
        </p>
    </div>
    @if ($steps !== [])
        <section class="decide" aria-labelledby="first-steps"><h2 id="first-steps">First steps</h2>
            <ol>@foreach ($steps as $step)<li>@if ($step['done'])<s class="soft">{{ $step['says'] }}</s> done
                @else<a href="{{ $step['link'] }}">{{ $step['says'] }}</a>@endif</li>@endforeach</ol></section>
    @endif
    @if ($decisions !== [])
        <section class="decide" aria-labelledby="decide"><h2 id="decide">To decide today</h2>
            <ul>@foreach ($decisions as $decision)<li><a href="{{ $decision['link'] }}">{{ $decision['says']
                }}</a></li>@endforeach</ul></section>
    @endif
    @include('season.filters')
    @unless ($ready->isWhole())
        <x-part name="anew" />
        <div class="said" role="status" x-data="anew">
            <span>After a change {{ number_format($ready->stale) }} of {{ number_format($ready->gardens) }} gardens
                {{ $ready->stale === 1 ? 'is' : 'are' }} being worked out anew, and left out below until
                then.<br><progress class="w-100" max="{{ $ready->gardens }}" value="{{ $ready->fresh() }}">{{
                $ready->fresh() }} of {{ $ready->gardens }}</progress></span>
            <a class="btn btn-quiet" href="{{ request()->fullUrl() }}">Look again</a>
        </div>
    @endunless
    @if ($book->putAside !== [])
        <div class="said wrong"><span>@foreach ($book->putAside as $kind => $why)The firm's own word on
            {{ str_replace('-', ' ', $kind) }} is put aside: {{ $why }}.@if ($book->has($kind)) The plant book's own
            holds until it is corrected.@endif @endforeach</span>@can('update', Firm::class)<a
            class="btn btn-quiet" href="{{ route('plant-book.index', ['q' => str_replace('-', ' ',
            array_key_first($book->putAside))]) }}">To the plant book</a>@endcan</div>
    @endif
    <div class="season">
        <div>
            @php($any = false)
            @foreach ($names as $key => $name)
                @continue($filter->show !== null && $filter->show->value !== $key)
                @continue($lists[$key] === [])
                @php($any = true)
                <section aria-labelledby="list-{{ $key }}">
                    <div class="group-head"><h2 id="list-{{ $key }}">{{ $name }}</h2></div>
                    <x-due-list :rows="$lists[$key]" />
                    @if ($pages && $filter->show)<x-pages :pages="$pages" what="tasks, by closing" />
                    @elseif ($counts[$key] > count($lists[$key]))<p class="mt-2"><a href="{{ route('season',
                        [...request()->except(['groups']), 'show' => $key]) }}">{{ $counts[$key] > $most
                        ? 'The first '.number_format($most) : 'All '.number_format($counts[$key])
                        }}, {{ lcfirst($name) }}</a></p>@endif
                </section>
            @endforeach
            @unless ($any)
                <p class="mt-4">{{ ! $ready->isWhole() ? 'What is due stands here as soon as its garden is worked out.'
                    : ($filter->isOn() ? 'Nothing is due here under this filter.'
                    : 'Nothing is due now or in the next six weeks.') }} The wall shows when the next windows open.</p>
            @endunless
        </div>
        <section class="wall" aria-labelledby="wall-title">
            <div class="group-head"><h2 id="wall-title">The {{ $filter->zoom->value }} by
                {{ $filter->by->value }}</h2></div>
            @if ($folded)<p class="soft mb-1">Tasks <b>at their best</b> (dark) and <b>open</b> (pale)
                {{ in_array($filter->zoom->value, ['month', 'week'], true) ? 'each day' : 'each week' }}; tallest bar
                {{ $peak }}. Open a line for its plants.</p>@else<x-legend />@endif
            @if ($folded)<div class="wall-row months" aria-hidden="true"><span></span><div
                class="month-names">@foreach ($months as $month)<span class="at-{{
                $month->step($width) }}">{{ $month->says }}</span>@endforeach</div></div>@endif
            @forelse ($wall as $group)
                @if ($group->pressure)
                    <details class="fold" x-data="fold(@js(route('season.group', [$group->key,
                        ...request()->except(['groups', 'list'])])))" @toggle="open">
                        <summary class="wall-row"><span><b>{{ $group->heading }}</b>
                            <span class="soft">{{ $group->counted() }}</span></span><x-pressure
                            :pressure="$group->pressure" :peak="$peak" /></summary>
                        <div x-ref="rows" aria-live="polite"><p class="soft">Fetching
                            {{ $group->counted() }} rows …</p></div>
                    </details>
                @else
                    <h3>{{ $group->heading }}</h3>
                    <x-wall :months="$months" :width="$width" :rows="$group->rows"
                        :garden="$filter->by !== App\Season\Grouping::Garden" />
                @endif
            @empty
                <p>{{ $ready->isWhole() ? 'No plant matches.' : 'No garden is ready yet.' }}
                    <a href="{{ route('season') }}">Show all</a>, or <a href="{{ route('gardens.index') }}">go to the
                    gardens</a> to add some.</p>
            @endforelse
            @if ($folded)<x-pages :pages="$groups" :what="['garden' => 'gardens', 'kind' => 'kinds', 'crew' => 'crews',
                'urgency' => 'groups'][$filter->by->value]" />@endif
        </section>
    </div>
</x-layout>
