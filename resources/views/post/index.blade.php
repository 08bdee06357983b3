<x-layout title="Post office">
    <p class="crumbs"><a href="{{ route('plan') }}">Plan</a></p>
    <h1>Post office</h1>
    <p class="to-56">Letters and text messages as they would have gone out. This one is simulated and ships with Pruning
        Hook: nothing leaves this machine until whoever runs it names a real one.</p>
    <form class="filters no-print" action="{{ route('post') }}">
        <div><label for="q">To, or about</label><input class="form-control" type="search" id="q" name="q"
            value="{{ $q }}"></div>
        <button class="btn btn-primary">Show</button>
    </form>
    @if ($waiting > 0)<p class="said" role="status">{{ $waiting === 1 ? 'One letter is' : "$waiting letters are" }}
        waiting to be sent.</p>@endif
    @if ($letters->isEmpty())<p>{{ $q === '' ? 'Nothing has gone out yet.' : 'No letter is like that.' }}</p>@endif
    @foreach ($letters as $letter)
        <section class="task" aria-labelledby="letter-{{ $letter->id }}">
            <h2 class="mt-0" id="letter-{{ $letter->id }}">{{ $letter->subject === '' ? 'Text message'
                : $letter->subject }}</h2>
            <p class="soft mb-2">To {{ $letter->to }}@if ($letter->created_at), {{
                Say::date(Today::of($letter->created_at)) }}, {{ Say::time($letter->created_at) }}@endif</p>
            @if ($letter->failed_because !== null)<p class="wrong-note mb-0">Not delivered, after several tries:
                {{ $letter->failed_because }}. Check the address and the mail settings, then send it again.</p>
            @elseif ($letter->is_private)<p class="mb-0">This letter has a sign-in link in it, so only its recipient can
                read it. The server keeps it for two weeks as <samp>{{ $letter->file() }}</samp>, beside the
                pictures.</p>
            @else<p class="letter mb-0">{{ $letter->whole() }}</p>@endif
        </section>
    @endforeach
    @if ($older)<p class="mt-3"><a class="btn btn-quiet" href="{{ route('post', [
        ...request()->query(), 'before' => $older]) }}">Earlier</a></p>@endif
</x-layout>
