<x-layout title="Verification code" quiet>
    <div class="door">
        <h1>Verification code</h1>
        <p class="soft">Enter the six-digit code from your authenticator app, or a recovery code.</p>
        <form method="post" action="{{ route('login.answer') }}" novalidate>
            @csrf
            <x-field name="code" label="Code" autocomplete="one-time-code" autocapitalize="none" spellcheck="false"
                required autofocus />
            <button class="btn btn-primary w-100">Sign in</button>
        </form>
        <p class="mt-3"><a href="{{ route('login') }}">Start again</a></p>
        <p class="soft">Lost your phone and your recovery codes? Ask a planner to reset your two-step sign-in.</p>
    </div>
</x-layout>
