@use('App\Ground\Models\Firm')
<x-layout :title="$kind->name">
    <p class="crumbs"><a href="{{ route('plant-book.index') }}">Plant book</a></p>
    <div class="head"><h1>{{ $kind->name }}@if ($own->isNotEmpty()) <span class="tag press">the firm's
        own</span>@endif</h1>
        @can('update', Firm::class)<a class="btn btn-quiet no-print" data-key="e"
            href="{{ route('own-kinds.edit', $kind->id) }}">Correct it</a>@endcan</div>
    <p><em>{{ $kind->botanical }}</em>, {{ $kind->family }}.@if ($kind->alsoCalled !== []) Also:
        {{ implode(', ', $kind->alsoCalled) }}.@endif<br>{{ $kind->about }}</p>
    @error('own')<div class="said wrong">{{ $message }}</div>@enderror
    @if ($own->isNotEmpty())
        @php($latest = $own->first())
        <section class="said d-block" aria-labelledby="own-title">
            <h2 id="own-title" class="mt-0 border-0 mb-1">{{ $latest->like ?
                'A kind of our own, like '.lcfirst($book->nameOf($latest->like)) : 'Corrected by the firm' }}</h2>
            <p class="mb-1">{{ $latest->note }} <span class="soft">{{ $latest->writtenBy?->name }},
                {{ Say::date($latest->created_at->format('Y-m-d')) }}@if ($own->count() > 1); version
                {{ $own->count() }}@endif</span></p>
            <details><summary>What differs from {{ $latest->like ? lcfirst($book->nameOf($latest->like))
                : 'the book' }}</summary>
                <table class="ledger"><thead><tr><th scope="col">What</th><th scope="col">{{ $latest->like ?
                    ucfirst($book->nameOf($latest->like)) : 'The book' }}</th><th scope="col">Ours</th></tr></thead>
                    <tbody>@foreach ($differs as $each)<tr><td>{{ $each['what'] }}</td><td>{{ $each['was'] === '' ?
                        'nothing' : $each['was'] }}</td><td><b>{{ $each['is'] === '' ? 'nothing'
                        : $each['is'] }}</b></td></tr>@endforeach</tbody></table>
            </details>
            @can('update', Firm::class)<form method="post" action="{{ route('own-kinds.destroy',
                $kind->id) }}" class="no-print mt-1">@csrf @method('delete')<button
                class="btn btn-quiet">{{ $latest->like ? 'Take this kind out of the book'
                : 'Back to what the book says' }}</button></form>@endcan
        </section>
    @endif
    <div class="plant">
        <div>
            <x-ring :ring="$ring"
                :label="'The year of '.$kind->name.': '.collect($ring->sectors)->pluck('says')->unique()->implode('; ')"
                heart="" />
            <x-legend :days="true" />
            <x-days :days="$days" />
            @if ($garden)
                <form class="d-flex gap-2 align-items-end no-print mb-3" action="{{ route('plant-book.show',
                    $kind->id) }}">
                    <x-garden-field :garden="$garden" label="Its year at" empty="a garden" />
                    <button class="btn btn-quiet">Show</button>
                </form>
            @endif
            <dl class="facts">
                <dt>Wood</dt><dd>{{ $kind->wood->inWords() }}</dd>
                <dt>Habit</dt>
                <dd>{{ $kind->habit->value }}, about {{ Say::length($kind->typicalHeightMm) }}</dd>
                <dt>Forms</dt><dd>{{ implode(', ', $kind->forms) }}</dd>
                <dt>Vigour</dt><dd>{{ $kind->vigour->value }}</dd>
                <dt>Hard pruning</dt><dd>it responds {{ $kind->hardCutting->inWords() }}</dd>
                @if ($kind->growthMm)<dt>Growth before
                    flowers</dt><dd>{{ Say::length($kind->growthMm[0]) }} to
                    {{ Say::length($kind->growthMm[1]) }}</dd>@endif
                @if ($kind->lowestFrameworkMm)<dt>Lowest
                    framework</dt><dd>{{ Say::length($kind->lowestFrameworkMm) }}</dd>@endif
            </dl>
            @if ($questions !== [])
                <h2>Schools</h2>
                @foreach ($questions as $question)<p class="mb-1"><b>{{ $question->name }}</b>:
                    {{ implode('; or ', $question->options) }}</p>@endforeach
                <p><a href="{{ route('practice.edit') }}">House practice</a></p>
            @endif
            <h2>In our gardens</h2>
            @if ($ours->isEmpty())<p>None yet.</p>@endif
            @foreach ($ours as $plant)<p class="mb-1"><a href="{{ route('plants.show',
                $plant) }}">{{ $plant->label }}</a>, {{ $plant->garden->name }}</p>@endforeach
            @if ($count > count($ours))<p><a href="{{ route('season', ['kind' => $kind->id]) }}">All
                {{ number_format($count) }} of them in the season</a></p>@endif
            @foreach ($faults as $says)<p class="wrong-note">{{ $says }}</p>@endforeach
        </div>
        <div>
            <h2 class="mt-0">Tasks, season {{ $season }}{{ $garden ? ' at '.$garden->name : '' }}</h2>
            @foreach ($tasks as $task)
                <article class="task">
                    <h3>{{ $task->name }}</h3>
                    <p class="mb-0">Best {{ Say::date($task->window->bestFrom) }} to
                        {{ Say::date($task->window->bestTo) }}; open
                        {{ Say::date($task->window->opens) }} to
                        {{ Say::date($task->window->closes) }}. {{ $task->method }}.</p>
                    <x-amounts :amounts="$task->amounts" />
                    <ul class="cautions">@foreach ($task->cautions as $caution)<li>{{
                        Say::prose($caution) }}</li>@endforeach</ul>
                    <details><summary>What to bring, and after</summary><x-kit :kit="$task->kit" /></details>
                    <details><summary>Steps</summary>
                        <ol class="steps">@foreach ($task->steps as $step)<li>{{ Say::prose($step)
                            }}</li>@endforeach</ol></details>
                    <dl class="reasons">@foreach ($task->reasons as $reason)
                        <dt>{{ $reason->rule }}</dt>
                        <dd>{{ Say::prose($reason->because) }} <span class="from">Source: {{ $reason->source
                            }}.</span></dd>
                    @endforeach</dl>
                    @foreach (['Too early' => $kind->tasks[$task->key]->early, 'Too late' =>
                        $kind->tasks[$task->key]->late] as $name => $outside)
                        @if ($outside)<p class="mb-1"><b>{{ $name }}{{ $outside->closed ? ', closed' : '' }}:</b>
                            {{ Say::prose($outside->because) }}</p>@endif
                    @endforeach
                </article>
            @endforeach
        </div>
    </div>
</x-layout>
