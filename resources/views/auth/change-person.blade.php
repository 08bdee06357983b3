<x-layout title="Change person" quiet>
    <div class="door">
        <h1>Change person</h1>
        @if ($people->isEmpty())
            <p>Nobody else has a PIN on this phone. Sign in with your password, then set a PIN under <i>Your
                account</i>.</p>
        @else
            <form method="post" action="{{ route('change-person.in') }}" novalidate>
                @csrf
                <fieldset class="mb-3">
                    <legend class="form-label">Who are you?</legend>
                    @foreach ($people as $person)
                        <div class="form-check"><input class="form-check-input" type="radio" name="who"
                            id="who-{{ $person->id }}" value="{{ $person->id }}"
                            @checked((string) $person->id === (string) $chosen)><label class="form-check-label"
                            for="who-{{ $person->id }}">{{ $person->name }}</label></div>
                    @endforeach
                    @error('who')<div class="invalid-feedback d-block">{{ $message }}</div>@enderror
                </fieldset>
                <x-field name="pin" label="PIN" type="password" inputmode="numeric" autocomplete="off" maxlength="8"
                    required />
                <button class="btn btn-primary w-100">Continue</button>
            </form>
        @endif
        <p class="mt-3">@auth<a href="{{ auth()->user()->home() }}">Stay {{ auth()->user()->name }}</a>@else<a
            href="{{ route('login') }}">Sign in with your password</a>@endauth</p>
    </div>
</x-layout>
