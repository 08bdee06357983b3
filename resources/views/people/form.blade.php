@php($title = $person->exists ? 'Edit '.$person->name : 'Invite somebody')
<x-layout :title="$title">
    <p class="crumbs"><a href="{{ route('people.index') }}">People</a></p>
    <h1>{{ $title }}</h1>
    <form method="post" action="{{ $person->exists ? route('people.update', $person) : route('people.store') }}"
        class="to-48" novalidate>
        @csrf<x-version :of="$person" /> @unless ($person->exists)<x-once />@endunless
        @if ($person->exists) @method('put') @endif
        <x-field name="name" label="Name" :value="$person->name" required autocomplete="off" />
        <x-field name="email" label="E-mail address" type="email" :value="$person->email" required autocomplete="off"
            help="They sign in with it." />
        <x-field name="role" label="May" :value="$person->role->value" required :options="[
            'planner' => 'plan everything, for all crews', 'lead' => 'lead a crew: plan, edit and log in its gardens',
            'hand' => 'work with a crew, and log',
        ]" />
        <x-field name="crew_id" label="Crew" :value="$person->crew_id" :options="$crews" empty="none yet" />
        <div class="d-flex gap-2 mt-3"><button class="btn btn-primary">{{ $person->exists ? 'Save'
            : 'Write the letter' }}</button><a class="btn btn-quiet" href="{{ route('people.index') }}">Cancel</a></div>
    </form>
    @if ($person->exists)
        @if ($person->code_since !== null && ! $person->is(auth()->user()))
            <h2>Two-step sign-in</h2>
            <p class="to-48">If {{ $person->name }} has lost their phone and recovery codes, reset it: the password is
                then enough. Make sure that it is really they who ask.</p>
            <form method="post" action="{{ route('people.code.lift', $person) }}">@csrf @method('delete')<button
                class="btn btn-quiet">Reset two-step sign-in</button></form>
        @endif
        @can('leave', $person)
            <h2>Leaving the firm</h2>
            <p class="to-48">{{ $person->name }} is signed out everywhere and can sign in no more. What they planned and
                logged stays in the record under their name.</p>
            <form method="post" action="{{ route('people.leave', $person) }}">@csrf<button class="btn btn-quiet">{{
                $person->name }} leaves</button></form>
        @endcan
    @endif
</x-layout>
