@use('App\Ground\Models\User')
<x-layout title="People">
    <div class="head">
        <div><p class="crumbs"><a href="{{ route('plan') }}">Plan</a> / <a
            href="{{ route('crews.index') }}">Crews</a></p><h1>People</h1></div>
        @can('create', User::class)<div class="d-flex gap-2 flex-wrap no-print"><a class="btn btn-quiet"
            href="{{ route('retention') }}">Retention</a><a class="btn btn-quiet"
            href="{{ route('security') }}">Security log</a><a class="btn btn-quiet"
            href="{{ route('people.create') }}">Invite somebody</a></div>@endcan
    </div>
    <ul class="due to-56">
        @foreach ($here as $person)
            <li>
                <span class="what">@can('update', $person)<a href="{{ route('people.edit',
                    $person) }}">{{ $person->name }}</a>@else{{ $person->name }}@endcan</span>
                <span class="when">{{ $person->role->value }}</span>
                <span class="where">{{ $person->crew->name ?? 'in no crew' }}{{ $person->joined_at === null
                    ? '; invited, not come in yet' : '' }}</span>
                <span class="act">@can('invite', $person)<form method="post" action="{{ route('people.again',
                    $person) }}">@csrf<button class="btn btn-quiet">Write again</button></form>@endcan</span>
            </li>
        @endforeach
    </ul>
    @if ($pages->last > 1)<x-pages :pages="$pages" what="people" />@endif
    @can('create', User::class)
        @error('wants')<div class="said wrong" role="alert">{{ $message }} <a href="{{ route('account')
            }}#code">Your account</a></div>@enderror
        <form class="no-print mt-3" method="post" action="{{ route('people.code') }}">@csrf @method('put')<input
            type="hidden" name="wants" value="{{ $firm->planners_code ? 0 : 1 }}"><button class="btn btn-quiet">{{
            $firm->planners_code ? 'Stop requiring two-step sign-in for planners'
            : 'Require two-step sign-in for planners' }}</button></form>
    @endcan
    @if ($pages->total === 1)<p>Nobody else is here yet. Invite the leads and hands of your crews: each gets a letter
        with a link to choose a password.</p>@endif
    @if ($gone->isNotEmpty())
        <h2>Left the firm</h2>
        <ul class="due to-56">
            @foreach ($gone as $person)
                <li>
                    <span class="what">{{ $person->name }}</span>
                    <span class="when">{{ $person->role->value }}</span>
                    <span class="where">left on {{ Say::date($person->left_on) }}; what they did stays in
                        the record</span>
                    <span class="act">@can('bringBack', $person)<form method="post" action="{{ route('people.back',
                        $person) }}">@csrf<button class="btn btn-quiet">Bring back</button></form>@endcan</span>
                    @can('erase', $person)<details class="erase"><summary>Erase personal data</summary>
                        <p>Name, e-mail address, devices, sign-ins and letters are erased for good. What they did stays
                            in the record; names in notes, and in backups made before, stay too.</p>
                        <form method="post" action="{{ route('people.erase', $person) }}">@csrf<button
                            class="btn btn-quiet">Erase {{ $person->name }}</button></form></details>@endcan
                </li>
            @endforeach
        </ul>
        @if ($left->last > 1)<x-pages :pages="$left" what="who left" />@endif
    @endif
</x-layout>
