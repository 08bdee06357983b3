@use('App\Ground\Models\ClientWord')
<x-layout :title="'Letter for '.$garden->name">
    <div class="no-print">
        <p class="crumbs"><a href="{{ route('gardens.index') }}">Gardens</a> / <a href="{{ route('gardens.show',
            $garden) }}">{{ $garden->name }}</a></p>
        @error('send')<div class="said wrong" role="alert">{{ $message }} <a href="{{ route('gardens.edit',
            $garden) }}">Edit the garden</a></div>@enderror
        <div class="d-flex gap-2 flex-wrap mb-2">
            <form method="post" action="{{ route('letters.send', $garden) }}">@csrf<x-once /><button
                class="btn btn-primary">Send it to {{ $garden->client }}</button></form>
            @if ($link)<form method="post" action="{{ route('letters.shut', $garden) }}">@csrf
                @method('delete')<button class="btn btn-quiet">Shut their page</button></form>@endif
        </div>
        <p class="soft">{{ $link === null ? 'The client has no page yet: sending the letter opens one.'
            : 'Their page is open from '.Say::date(Today::of($link->created_at)).' to '.Say::date($link->endsOn())
            .($link->seen_at ? ', last opened on '.Say::date(Today::of($link->seen_at)) : ', not opened yet')
            .'. Sending the letter again extends it.' }} On paper: print this page.</p>
        @foreach ($words as $word)
            <div class="said {{ $word->heard_at ? '' : 'is-waiting' }}"><span><b>{{ $garden->client }} {{
                ClientWord::KINDS[$word->kind] }}{{ $word->visit ? ', the visit of '.Say::date($word->visit->on) : ''
                }}</b>, {{ Say::date(Today::of($word->created_at)) }}{{ $word->says ? ': '.$word->says : '' }}</span>
                @if ($word->heard_at)<span class="soft">seen to</span>@else<form method="post"
                action="{{ route('words.heard', $word) }}">@csrf @method('put')<button class="btn btn-quiet">Seen
                to</button></form>@endif</div>
        @endforeach
    </div>
    <article class="to-56">
        <p class="soft">{{ $firm->name }}, {{ Say::longDate($today) }}</p>
        <h1>Your garden in the months to come</h1>
        <p>Dear {{ $garden->client }}, this is what we do in {{ $garden->name }}, when, and why.</p>
        <x-letter :months="$months" :asks="$asks" />
    </article>
</x-layout>
