<x-layout title="Sign in" quiet>
    <div class="door">
        <h1>Sign in</h1>
        <p class="soft">When to prune, how, how much, and why: for every plant on the round.</p>
        @if (session('status'))<div class="said" role="status">{{ session('status') }}</div>@endif
        <form method="post" action="{{ route('login') }}" novalidate>
            @csrf
            <x-field name="email" label="E-mail address" type="email" autocomplete="username" required autofocus />
            <x-field name="password" label="Password" type="password" autocomplete="current-password" required />
            <button class="btn btn-primary w-100">Sign in</button>
        </form>
        <p class="soft mt-3">Phones stay signed in for 30 days; computers sign out after 12 hours without use.</p>
        @if ($hasPins)<p class="mt-3"><a href="{{ route('change-person') }}">Sign in with a PIN</a></p>@endif
        <p class="mt-3"><a href="{{ route('password.request') }}">I have forgotten my password</a></p>
    </div>
</x-layout>
