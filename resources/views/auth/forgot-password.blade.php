<x-layout title="Forgotten password" quiet>
    <div class="door">
        <h1>A new password</h1>
        <p class="soft">We send a link to the address you sign in with.</p>
        @if (session('status'))<div class="said" role="status">{{ session('status') }}</div>@endif
        <form method="post" action="{{ route('password.email') }}" novalidate>
            @csrf
            <x-field name="email" label="E-mail address" type="email" autocomplete="username" required />
            <button class="btn btn-primary w-100">Send the link</button>
        </form>
        <p class="mt-3"><a href="{{ route('login') }}">Back to signing in</a></p>
    </div>
</x-layout>
