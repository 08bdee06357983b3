@use('App\Ground\Models\ClientWord')
<x-layout :title="$garden->name" quiet>
    <article class="to-56">
        <p class="soft">{{ $firm->name }}</p>
        <h1>{{ $garden->name }}</h1>
        <p>Dear {{ $garden->client }}, this page is yours: what we do in your garden, when, and why. Whoever has its
            link can read it.</p>
        @foreach ($words as $word)<p class="said"><span>You said: {{ match ($word->kind) { 'agree' => 'agreed to',
            'move' => 'please move', default => 'a question' } }}{{ $word->says ? ', "'.$word->says.'"' : '' }}. It
            waits for us.</span></p>@endforeach
        <section aria-labelledby="days"><h2 id="days">The days</h2>
            @forelse ($coming as $visit)
                <div class="task">
                    <h3 class="mt-0">{{ Say::longDate($visit->on) }}{{ $visit->confirmed ? ', agreed' : '' }}</h3>
                    <p class="mb-2">{{ $visit->tasks->map(fn ($task) => $task->plant->label)->unique()->implode(', ')
                        }}</p>
                    <div class="d-flex gap-2 flex-wrap no-print">
                        @unless ($visit->confirmed)<form method="post" action="{{ route('client.say', $token) }}">@csrf
                            <input type="hidden" name="kind" value="agree"><input type="hidden" name="visit"
                            value="{{ $visit->id }}"><button class="btn btn-primary">That day suits me</button></form>
                        @endunless
                    </div>
                    <details class="no-print mt-2" @if (old('visit') == $visit->id) open @endif><summary>Ask to move
                        it</summary>
                        <form method="post" action="{{ route('client.say', $token) }}" novalidate>@csrf<x-once />
                            <input type="hidden" name="kind" value="move"><input type="hidden" name="visit"
                            value="{{ $visit->id }}">
                            <label class="form-label" for="move-{{ $visit->id }}">Which days suit you better?</label>
                            <textarea class="form-control" id="move-{{ $visit->id }}" name="says" rows="2">{{
                                old('visit') == $visit->id ? old('says') : '' }}</textarea>
                            @if (old('visit') == $visit->id) @error('says')<div class="invalid-feedback d-block">{{
                                $message }}</div>@enderror @endif
                            <button class="btn btn-quiet mt-2">Send</button></form></details>
                </div>
            @empty<p>No day is planned yet. We tell you as soon as one is.</p>
            @endforelse
        </section>
        <section class="no-print" aria-labelledby="ask"><h2 id="ask">Ask us</h2>
            <form method="post" action="{{ route('client.say', $token) }}" novalidate>@csrf<x-once />
                <input type="hidden" name="kind" value="ask">
                <label class="form-label" for="says">Your question, or what we should know</label>
                <textarea class="form-control" id="says" name="says" rows="3">{{ old('kind') === 'ask' ? old('says')
                    : '' }}</textarea>
                @if (old('kind') === 'ask') @error('says')<div class="invalid-feedback d-block">{{ $message }}</div>
                @enderror @endif
                <button class="btn btn-quiet mt-2">Send</button></form></section>
        @if ($done->isNotEmpty())
            <section aria-labelledby="done"><h2 id="done">What was done</h2>
                <ul class="plain">@foreach ($done as $visit)<li><a href="{{ route('client.report', [$token, $visit])
                    }}">{{ Say::longDate($visit->on) }}</a></li>@endforeach</ul></section>
        @endif
        <x-letter :months="$months" :asks="$asks" />
    </article>
</x-layout>
