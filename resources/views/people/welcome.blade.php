<x-layout title="Welcome" quiet>
    <div class="door">
        @if ($opens)
            <h1>Welcome to {{ $firm->name }}</h1>
            <p>{{ $person->name }}, choose a password. You sign in with it and with {{ $person->email }}.</p>
            <form method="post" action="{{ $link }}" novalidate>
                @csrf
                <input type="hidden" name="email" value="{{ $person->email }}" autocomplete="username">
                <x-field name="password" label="Password" type="password" autocomplete="new-password" required
                    help="At least 12 characters; avoid common passwords." />
                <x-field name="password_confirmation" label="Repeat password" type="password"
                    autocomplete="new-password" required />
                <button class="btn btn-primary w-100">Save and sign in</button>
            </form>
        @else
            <h1>This link opens nothing</h1>
            <p>It has run out, was used, or another letter was written since. Ask your planner for a new one, or <a
                href="{{ route('login') }}">sign in</a> where you have a password already.</p>
        @endif
    </div>
</x-layout>
