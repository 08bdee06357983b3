@use('App\Exercise\SignOffController')
@use('PruningHook\Core\Exercise\ExerciseCase')
<x-layout title="Practice bench">
    <h1>Practice bench</h1>
    <p>Practise on plants that can't be harmed: mark the cuts in their order, step back, hand in. You are marked against
        the judge and the recipe, and see both plants at their next bloom and three years on.</p>
    <div class="bench-first">
        <section class="task" aria-labelledby="today-title">
            <h2 class="mt-0" id="today-title">Today's case</h2>
            <p class="mb-2">{{ $kinds[$today->kind] }}: {{ $today->fault }}.
                {{ ucfirst(ExerciseCase::LEVELS[$today->level]) }}{{ isset($best[$today->key])
                ? ', your best '.$best[$today->key].' of 100' : '' }}.</p>
            <a class="btn btn-primary" href="{{ route('bench.show', $today->key) }}">Take it on</a>
        </section>
        <section class="task" aria-labelledby="next-title">
            <h2 class="mt-0" id="next-title">What to practise next</h2>
            @if ($next)<p class="mb-2">{{ $kinds[$next->kind] }}: {{ $next->fault }}.
                {{ ucfirst(ExerciseCase::LEVELS[$next->level]) }}{{ isset($best[$next->key])
                ? ', your best '.$best[$next->key].' of 100' : ', not tried yet' }}.</p>
                <a class="btn btn-primary" href="{{ route('bench.show', $next->key) }}">Practise it</a>
            @else<p class="mb-0">Every case is done well. A case with another number is another plant; any plant of
                the firm can be practised on from its own page.</p>@endif
        </section>
    </div>
    <h2>How far you are</h2>
    @if ($begun === [])<p>Nothing is handed in yet. Begin with an easy case: what is marked comes with its reasons.</p>
    @else
        <table class="ledger">
            <thead><tr><th scope="col">Method</th><th scope="col">Cases done well</th><th scope="col">Visits
                logged</th></tr></thead>
            <tbody>@foreach ($begun as $method => $of)<tr><td>{{ $methodNames[$method] }}</td><td
                data-th="Cases done well"><meter min="0" max="{{ $of['of'] }}" value="{{ $of['well'] }}"
                aria-label="{{ $methodNames[$method] }}: {{ $of['well'] }} of {{ $of['of'] }} done well"></meter>
                {{ $of['well'] }} of {{ $of['of'] }}{{ $of['tried'] > $of['well'] ? ', '.$of['tried'].' tried'
                : '' }}</td><td data-th="Visits logged">{{ $of['visits'] }}</td></tr>@endforeach</tbody>
        </table>
    @endif
    <h2>All cases</h2>
    <form class="filters" action="{{ route('bench') }}">
        @foreach (['kind' => ['Kind', $kinds], 'level' => ['Level', ExerciseCase::LEVELS],
            'method' => ['Method', $methodNames]] as $field => [$label, $options])
            <div><label for="f-{{ $field }}">{{ $label }}</label><select class="form-select" id="f-{{ $field }}"
                name="{{ $field }}"><option value="">all</option>@foreach ($options as $value => $words)<option
                value="{{ $value }}" @selected((string) $value === $filter[$field])>{{ $words }}</option>
            @endforeach</select></div>
        @endforeach
        <button class="btn btn-quiet">Show</button>
    </form>
    @if ($cases === [])<p>No case is like that. <a href="{{ route('bench') }}">Show all</a></p>@endif
    <ul class="bench-cases">
        @foreach ($cases as $case)
            <li><a href="{{ route('bench.show', $case->key) }}"><b>{{ $kinds[$case->kind] }}</b>
                <span>{{ ucfirst($case->fault) }}</span>
                <span class="soft">{{ ExerciseCase::LEVELS[$case->level] }},
                {{ lcfirst($methodNames[$methods[$case->key]]) }}{{ isset($best[$case->key])
                ? ', best '.$best[$case->key].($best[$case->key] >= $marking->well ? ': done well' : '') : ''
                }}</span></a></li>
        @endforeach
    </ul>
    @if ($answers->isNotEmpty())
        <h2>Handed in</h2>
        <ul class="plain">@foreach ($answers as $answer)<li><a
            href="{{ route('bench.answer', $answer) }}">{{ $answer->plant?->label ?? $kinds[$answer->kind]
            ?? $answer->kind }}</a>, {{ Say::time($answer->created_at) }}: {{ $answer->score }} of 100</li>
        @endforeach</ul>
    @endif
    <h2 id="crew">{{ count($crew) > 1 ? 'The crew' : 'Signed off' }}</h2>
    <p class="soft">Signed off for a method is who does it without being watched: after {{ $marking->cases }}
        cases done well and {{ $marking->visits }} visits logged, by the lead's word. The sheet and the plan of a
        visit say who is.</p>
    @foreach ($crew as ['person' => $person, 'progress' => $far, 'signed' => $signed, 'may' => $may])
        <section class="task" aria-labelledby="person-{{ $person->id }}">
            <h3 class="mt-0" id="person-{{ $person->id }}">{{ $person->name }}</h3>
            @if ($signed === [])<p class="mb-1">Not signed off for anything yet.</p>@endif
            @foreach ($signed as $method => $signOff)
                <div class="d-flex gap-2 align-items-center flex-wrap"><span>{{ $methodNames[$method] ?? $method }},
                    by {{ $signOff->by->name ?? 'somebody who has left' }} on {{ Say::date($signOff->on) }}</span>
                    @if ($may)<form method="post" action="{{ route('sign-offs.destroy', $signOff) }}">@csrf
                        @method('delete')<button class="btn btn-quiet">Take back</button></form>@endif</div>
            @endforeach
            @if ($may)
                <form method="post" action="{{ route('sign-offs.store', $person) }}#crew" class="measures">
                    @csrf
                    <div><label class="soft" for="m-{{ $person->id }}">Sign off for</label><select class="form-select"
                        id="m-{{ $person->id }}" name="method" @error("method-$person->id")
                        aria-describedby="w-{{ $person->id }}" @enderror>
                        @foreach ($methodNames as $method => $words)@if (! isset($signed[$method]))
                            @php($needs = SignOffController::inWords($far->needs($method)))
                            <option value="{{ $method }}" @selected(Asked::before('method')
                                === $method)>{{ $words }}{{ $needs === '' ? '' : ': needs '.$needs }}</option>
                        @endif @endforeach</select></div>
                    <button class="btn btn-quiet">Sign off</button>
                    @error("method-$person->id")<p class="invalid-feedback d-block w-100"
                        id="w-{{ $person->id }}">{{ $message }}</p>@enderror
                </form>
            @endif
        </section>
    @endforeach
</x-layout>
