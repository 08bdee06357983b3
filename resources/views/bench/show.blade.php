@use('PruningHook\Core\Drawing\View')
@php($exercise = $practised->exercise)
@php($here = fn (array $with = []): string => route('bench.show', $page->link($with)))
<x-layout :title="'Bench: '.$practised->title">
    <p class="crumbs"><a href="{{ route('bench') }}">Practice bench</a> / {{ $practised->levelInWords() }}</p>
    <h1>{{ $practised->title }}</h1>
    <p class="mb-2">{{ $practised->fault }} <b>{{ $exercise->task->name }}</b>: {{ lcfirst($exercise->task->method) }}.
        @foreach ($exercise->task->schools as $school)In force: {{ $school->question->options[$school->option]
        }}.@endforeach</p>
    <x-amounts :amounts="$exercise->task->amounts" />
    @foreach ($told as $says)<p class="wrong-note" role="alert">{{ $says }} The other cuts stand as they were.</p>
    @endforeach
    <div class="bench">
        <div>
            <nav class="moments" aria-label="Where you stand">
                @foreach ([View::South, View::East, View::Above] as $side)<a data-key="{{ $loop->iteration }}"
                    href="{{ $here(['view' => $side->value, 'look' => $stepped ? 'left' : null]) }}"
                    @if ($side === $view) aria-current="page" @endif>{{ ucfirst($side->inWords()) }}</a>@endforeach
                <a data-key="4" href="{{ $here(['look' => $stepped ? null : 'left']) }}"
                    @if ($stepped) aria-current="page" @endif>{{ $stepped ? 'Show the cuts' : 'Step back' }}</a>
            </nav>
            <x-portrait :p="$portrait" :name="$practised->title"
                :pick="$here(['pick' => null]).'&pick='" :picked="$hand?->axis" />
        </div>
        <div class="hand" id="hand">
            <form action="{{ route('bench.show', $practised->key) }}" aria-label="The next cut">
                @foreach ($page->link() as $name => $value)@if ($name !== 'case')<input type="hidden"
                    name="{{ $name }}" value="{{ $value }}">@endif @endforeach
                <p class="mb-1" aria-live="polite">@if ($hand)<b>In hand:</b> {{ lcfirst($hand->says) }}.@else Tap a
                    stem or branch to take it in hand.@endif</p>
                <p class="d-flex gap-2 flex-wrap mb-2">
                    @if ($previousAxis !== null)<a class="btn btn-quiet" data-key="["
                        href="{{ $here(['pick' => $previousAxis]) }}">Previous</a>@endif
                    @if ($nextAxis !== null)<a class="btn btn-quiet" data-key="]"
                        href="{{ $here(['pick' => $nextAxis]) }}">Next</a>@endif
                    @if ($hand)<button class="btn btn-outline-primary" name="do" value="t">Take it out</button>
                        <a class="btn btn-quiet" href="{{ $here(['pick' => null]) }}">Leave it</a>@endif
                </p>
                <div class="measures">
                    <div><label class="soft" for="n">Buds that stay, or cm</label><input class="form-control"
                        type="number" id="n" name="n" min="1" max="3000" inputmode="numeric"
                        value="{{ Asked::text(request(), 'n') }}"></div>
                    @if ($hand)
                        <button class="btn btn-quiet" name="do" value="h">Cut it above that bud</button>
                        @if ($hand->laterals > 0)<button class="btn btn-quiet" name="do" value="s">Its laterals to so
                            many buds</button>@endif
                    @endif
                </div>
                <details @if (! $hand) open @endif><summary>Cuts to the whole plant</summary>
                    <p class="d-flex gap-2 flex-wrap mt-2 mb-0">
                        <button class="btn btn-quiet" name="do" value="x">All that is dead</button>
                        <button class="btn btn-quiet" name="do" value="a">All laterals to so many buds</button>
                        <button class="btn btn-quiet" name="do" value="d">All down to so many cm</button>
                        <button class="btn btn-quiet" name="do" value="c">Clip new growth to so many cm</button>
                        <button class="btn btn-quiet" name="do" value="r">Clear the stems to so many cm</button>
                    </p>
                </details>
            </form>
            <h2>Cuts so far</h2>
            @if ($steps === [])<p>None yet. Dead wood first, then whole stems, then the rest.</p>
            @else
                <ol class="bench-steps">@foreach ($steps as $says)<li>{{ $says }}</li>@endforeach</ol>
                <p class="d-flex gap-2 flex-wrap"><a class="btn btn-quiet" data-key="u"
                    href="{{ $here(['do' => 'u']) }}">Undo the last</a><a class="btn btn-quiet"
                    href="{{ $here(['do' => 'n']) }}">Begin again</a></p>
                <p class="soft">{{ $taken }} % of its live buds would go.</p>
            @endif
            <form method="post" action="{{ route('bench.store', $practised->key) }}">
                @csrf<x-once /><input type="hidden" name="cuts" value="{{ $written->code() }}"><input type="hidden"
                    name="seed" value="{{ $practised->seed }}">
                <fieldset class="bench-days"><legend>On which day?</legend>
                    @foreach ($exercise->days as $day)<label><input type="radio" name="day"
                        value="{{ $day }}" @checked((string) $day === Asked::before('day'))>
                        {{ Say::date($day) }}</label>@endforeach</fieldset>
                @foreach (['day', 'cuts', 'seed'] as $field)@error($field)<p
                    class="invalid-feedback d-block">{{ $message }}</p>@enderror @endforeach
                <button class="btn btn-primary mt-2">Hand in</button>
            </form>
            @if ($practised->plant === null)<p class="mt-2 mb-0"><a href="{{ route('bench.show', [$practised->key,
                'seed' => ($practised->seed + 1) % 1000]) }}">Another plant of this case</a></p>
            @else<p class="mt-2 mb-0"><a href="{{ route('plants.show', $practised->plant) }}">Back to the plant</a></p>
            @endif
        </div>
    </div>
    <p class="soft">To scale. Green is the last season's wood, brown the one before, grey older, dashed is dead; broken
        and rust is what you cut. The keys <kbd>[</kbd> and <kbd>]</kbd> take the branch before or after in hand, 1 to 3
        turn the plant, 4 steps back, <kbd>u</kbd> undoes.</p>
    <ul class="cautions">@foreach (array_slice($exercise->task->cautions, 0, 2) as $caution)<li>{{
        Say::prose($caution) }}</li>
    @endforeach</ul>
</x-layout>
