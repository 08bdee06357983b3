<x-layout title="New password" quiet>
    <div class="door">
        <h1>Choose a new password</h1>
        <form method="post" action="{{ route('password.update') }}" novalidate>
            @csrf
            <input type="hidden" name="token" value="{{ $token }}">
            <x-field name="email" label="E-mail address" type="email" :value="$email" autocomplete="username" required
                />
            <x-field name="password" label="New password" type="password" autocomplete="new-password" required
                help="At least 12 characters; avoid common passwords." />
            <x-field name="password_confirmation" label="Repeat password" type="password" autocomplete="new-password"
                required />
            <button class="btn btn-primary w-100">Save and sign in</button>
        </form>
    </div>
</x-layout>
