<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Pruning Hook</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    <link rel="manifest" href="/manifest.webmanifest">
    <meta name="theme-color" content="#f7f3e8">
    @foreach (['zilla-slab/files/zilla-slab-latin-600-normal', 'source-sans-3/files/source-sans-3-latin-400-normal',
        'source-sans-3/files/source-sans-3-latin-600-normal'] as $font)<link rel="preload" as="font" type="font/woff2"
        crossorigin href="{{ Vite::asset("node_modules/@fontsource/$font.woff2") }}">
    @endforeach
    @vite('resources/sass/app.scss')
    @stack('parts')
    @vite('resources/js/app.js')
</head>
<body x-data="keys" @keydown.window="press($event)" data-user="{{ auth()->id() }}"
    @if (auth()->user()?->units === 'imperial') data-units="imperial" @endif
    @if (auth()->user()?->keys === false) data-keys="off" @endif>
<a class="skip" href="#main">To the page</a>
<x-patterns />
<header class="mast">
    <div class="inner">
        <a class="maker" href="{{ route('season') }}"><x-mark /> Pruning Hook</a>
        @auth
            <nav aria-label="Places" class="d-contents">
                <ul class="places">
                    @foreach ([
                        'season' => ['Season', 's'], 'plan' => ['Plan', 'l'], 'round' => ['Round', 'r'],
                        'gardens.index' => ['Gardens', 'g'], 'record' => ['Record', 'c'],
                        'plant-book.index' => ['Plant book', 'b'], 'practice.edit' => ['House practice', 'h'],
                        'bench' => ['Bench', 'n'],
                    ] as $route => [$name, $key])
                        <li><a href="{{ route($route) }}" data-key="{{ $key }}"
                            @if (request()->routeIs($route)) aria-current="page" @endif>{{ $name }}</a></li>
                    @endforeach
                </ul>
            </nav>
            <form class="searching" action="{{ route('search') }}" role="search">
                <label class="visually-hidden" for="search">Find a plant or garden</label>
                <input class="form-control" type="search" id="search" name="q" placeholder="Find a plant or garden"
                    value="{{ request()->routeIs('search') ? Asked::text(request(), 'q') : '' }}">
            </form>
            <div class="who">
                <a class="me" href="{{ route('account') }}">{{ auth()->user()->name }}<span
                    class="role">, {{ auth()->user()->role->value }}</span></a>
                @if (auth()->user()->pin !== null)<a class="btn btn-link"
                    aria-label="Change person"
                    href="{{ route('change-person') }}">Change<span class="role"> person</span></a>@endif
                <form method="post" action="{{ route('logout') }}" data-sign-out>@csrf<button class="btn btn-link">Sign
                    out</button></form>
            </div>
        @endauth
    </div>
</header>
<div id="signal" class="signal no-print" role="status" hidden></div>
<main id="main">
    @if (session('said'))
        <div class="said" role="status">
            <span>{{ session('said') }}</span>
            @if (session('undo'))
                <form method="post" action="{{ session('undo')[0] }}">@csrf
                    @method(session('undo')[1])<button class="btn btn-quiet">Undo</button></form>
            @endif
        </div>
    @endif
    @php($refused = Asked::refused($errors))
    @if ($refused > 0 && ! ($quiet ?? false))
        <div class="said wrong" role="alert">Nothing is saved yet: {{ $refused === 1 ? 'one answer needs'
            : $refused.' answers need' }} another look.</div>
    @endif
    {{ $slot }}
</main>
@auth
    <nav class="thumbs" aria-label="Places, for the thumb">
        @foreach (['round' => 'Round', 'season' => 'Season', 'gardens.index' => 'Gardens', 'search' => 'Find',
            'bench' => 'Bench'] as $route => $name)
            <a href="{{ route($route) }}" @if (request()->routeIs($route)) aria-current="page" @endif>{{ $name }}</a>
        @endforeach
    </nav>
    <dialog x-ref="help" aria-labelledby="keys-title">
        <h2 id="keys-title" class="mt-0">Keys</h2>
        <dl class="facts">
            <dt><kbd>s</kbd></dt><dd>Season</dd>
            <dt><kbd>l</kbd></dt><dd>Plan, over all gardens</dd>
            <dt><kbd>r</kbd></dt><dd>Round</dd>
            <dt><kbd>g</kbd></dt><dd>Gardens</dd>
            <dt><kbd>c</kbd></dt><dd>Record of what was done</dd>
            <dt><kbd>b</kbd></dt><dd>Plant book</dd>
            <dt><kbd>h</kbd></dt><dd>House practice</dd>
            <dt><kbd>n</kbd></dt><dd>The practice bench</dd>
            <dt><kbd>p</kbd></dt><dd>Plan a visit, on a garden or a plant; on the Plan and where a visit is
                planned, to the button that does it</dd>
            <dt><kbd>,</kbd> <kbd>.</kbd></dt><dd>The week before, the week after, on the Plan</dd>
            <dt><kbd>e</kbd></dt><dd>Edit what is shown</dd>
            <dt><kbd>j</kbd></dt><dd>Judge the stems of a plant</dd>
            <dt><kbd>k</kbd> <kbd>x</kbd></dt><dd>To "stays" or "goes" of the stem in hand; Enter says it</dd>
            <dt><kbd>o</kbd></dt><dd>To "is out" of the stem in hand; Enter says it</dd>
            <dt><kbd>u</kbd></dt><dd>To the undo of the last tap; Enter does it</dd>
            <dt><kbd>/</kbd></dt><dd>Find a plant or garden</dd>
            <dt><kbd>?</kbd></dt><dd>This list</dd>
        </dl>
        <p class="soft mb-0">They can be switched off on <a href="{{ route('account') }}">your account</a>.</p>
        <form method="dialog" class="mt-3"><button class="btn btn-primary">Close</button></form>
    </dialog>
@endauth
</body>
</html>
