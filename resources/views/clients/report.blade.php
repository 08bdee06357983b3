@php($token ??= null)
<x-layout :title="'Visit of '.Say::longDate($visit->on)" :quiet="$token !== null">
    <p class="crumbs no-print">@if ($token)<a href="{{ route('client', $token) }}">{{ $visit->garden->name }}</a>
        @else<a href="{{ route('gardens.show', $visit->garden) }}">{{ $visit->garden->name }}</a> / <a
        href="{{ route('visits.show', $visit) }}">Sheet</a>@endif</p>
    <article class="to-56">
        <p class="soft">{{ $firm->name }}{{ $visit->crew ? ', '.$visit->crew->name : '' }}</p>
        <h1>What we did on {{ Say::longDate($visit->on) }}</h1>
        @forelse ($lines as $line)
            <section class="letter-line" aria-labelledby="line-{{ $line->task->id }}">
                <h2 id="line-{{ $line->task->id }}">{{ $line->task->plant->label }}: {{
                    lcfirst($line->task->prescribed->name) }}, {{ $line->task->log->outcome->inWords() }}</h2>
                <p class="mb-1">{{ ucfirst($line->why()) }}.@if ($line->after) <b>What to expect:</b> {{
                    $line->after }}@endif</p>
                @if ($line->task->log->left_for_next_year)<p class="mb-1"><b>Left for next year:</b> {{
                    $line->task->log->left_for_next_year }}.</p>@endif
                @if ($line->photos() !== [])<ul class="pictures">@foreach ($line->photos() as $photo)<li><img
                    src="{{ $token ? route('client.photo', [$token, $photo]) : route('photos.show', $photo) }}"
                    alt="{{ $line->task->plant->label }} {{ $photo->moment }} the work" width="{{ $photo->width }}"
                    height="{{ $photo->height }}" loading="lazy"></li>@endforeach</ul>@endif
            </section>
        @empty<p>Nothing is logged of this visit yet.</p>
        @endforelse
        <h2>Next</h2>
        <p>{{ $next ? 'We come again on '.Say::longDate($next->on).'.'
            : 'No day is planned yet. We tell you as soon as one is.' }}</p>
        @unless ($token)<p class="soft no-print">On paper: print this page. On the client's own page it stands under
            what was done{{ $visit->garden->photos_ok ? '' : ', without photos until they agree to them' }}.</p>
        @endunless
    </article>
</x-layout>
