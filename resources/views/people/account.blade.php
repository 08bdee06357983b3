@use('App\People\Pin')
<x-layout title="Your account">
    <h1>{{ $person->name }}</h1>
    <p class="soft">{{ $person->email }}, {{ $person->role->value }}{{ $person->crew ? ' of '.$person->crew->name
        : '' }}.</p>
    <div class="to-40">
        <h2>You</h2>
        <form method="post" action="{{ route('account.update') }}" novalidate>
            @csrf @method('put')
            <x-field name="name" label="Name" :value="$person->name" autocomplete="name" required
                help="As it stands in the record." />
            <x-field name="units" label="Lengths" :value="$person->units" :options="['metric' =>
                'in metres and centimetres', 'imperial' => 'in feet and inches']" />
            <button class="btn btn-primary">Save</button>
        </form>
        <h2>Password</h2>
        <form method="post" action="{{ route('account.password') }}" novalidate>
            @csrf @method('put')
            <x-field name="current" label="Current password" type="password" autocomplete="current-password"
                required />
            <x-field name="password" label="New password" type="password" autocomplete="new-password" required
                help="At least 12 characters; avoid common passwords." />
            <x-field name="password_confirmation" label="Repeat password" type="password" autocomplete="new-password"
                required />
            <button class="btn btn-primary">Change password</button>
        </form>
        <h2 id="code">Two-step sign-in</h2>
        @if (session('spares'))
            <p>Recovery codes, in case you lose your phone. Each works once. <b>They are shown only now: write them
                down.</b></p>
            <ul class="spares">@foreach (session('spares') as $spare)<li>{{ $spare }}</li>@endforeach</ul>
        @endif
        @if ($person->code_since !== null)
            <p>On since {{ Say::date(Today::of($person->code_since)) }}; {{
                count($person->code_spares ?? []) }} recovery codes left.</p>
            <form method="post" action="{{ route('account.code.remove') }}" novalidate>
                @csrf @method('delete')
                <x-field name="password_for_code" label="Current password" type="password"
                    autocomplete="current-password" required />
                <button class="btn btn-quiet">Turn it off</button>
            </form>
        @elseif ($person->code_secret !== null)
            <x-part name="labels" />
            <p>Scan this with an authenticator app, or enter the key below it.</p>
            <div class="second-step" x-data="labels"><div data-code="{{ $address }}"></div></div>
            <p><samp>{{ implode(' ', str_split($person->code_secret, 4)) }}</samp></p>
            <form method="post" action="{{ route('account.code.confirm') }}" novalidate>
                @csrf @method('put')
                <x-field name="code" label="Six-digit code from the app" autocomplete="one-time-code"
                    inputmode="numeric" required />
                <button class="btn btn-primary">Turn it on</button>
            </form>
        @else
            <p>With two-step sign-in a stolen password is not enough: your phone shows a new code every 30 seconds, even
                without signal.</p>
            <form method="post" action="{{ route('account.code') }}">@csrf<button class="btn btn-quiet">Set it
                up</button></form>
        @endif
        @if (Pin::isFor($person))
            <h2 id="pin">PIN</h2>
            <p>Where several people share a phone, your PIN lets you take it over quickly: <i>Change person</i>, at the
                top. It works on phones on which you have entered your password in the last 30 days.</p>
            <form method="post" action="{{ route('account.pin') }}" novalidate>
                @csrf @method('put')
                <x-field name="pin" label="{{ $person->pin === null ? 'PIN' : 'New PIN' }}" type="password"
                    inputmode="numeric" autocomplete="off" maxlength="8" required help="4 to 8 digits." />
                <x-field name="password_for_pin" label="Current password" type="password"
                    autocomplete="current-password" required />
                <button class="btn btn-primary">Save PIN</button>
            </form>
            @if ($person->pin !== null)
                <form class="mt-2" method="post" action="{{ route('account.pin.remove') }}">@csrf
                    @method('delete')<button class="btn btn-quiet">Remove PIN</button></form>
            @endif
        @endif
        <h2>Devices</h2>
        <p>A lost phone is shut out here. What was logged on it and not sent yet stays on it until you sign in there
            again.</p>
        <ul class="due mb-3">
            @if ($here)<li><span class="what">{{ ucfirst($here->kind) }}, this one</span><span class="where">since
                {{ Say::date(Today::of($here->created_at)) }}</span></li>@endif
            @foreach ($others as $device)
                <li><span class="what">{{ ucfirst($device->kind) }}</span><span class="where">since {{
                    Say::date(Today::of($device->created_at)) }}, last seen {{ Say::date(Today::of($device->seen_at))
                    }}</span><form class="act" method="post" action="{{ route('account.end', $device) }}">@csrf
                    @method('delete')<button class="btn btn-quiet">Sign it out</button></form></li>
            @endforeach
        </ul>
        <form method="post" action="{{ route('account.everywhere') }}" data-sign-out>@csrf<button
            class="btn btn-quiet">Sign out everywhere</button></form>
        <h2>Keys</h2>
        <p>Single letters jump to places and into fields; <kbd>?</kbd> lists them. They never change anything by
            themselves.</p>
        <form method="post" action="{{ route('account.keys') }}">@csrf @method('put')<input type="hidden" name="keys"
            value="{{ $person->keys ? 0 : 1 }}"><button class="btn btn-quiet">{{ $person->keys
            ? 'Switch single keys off' : 'Switch single keys on' }}</button></form>
        <p class="mt-4"><a href="{{ route('people.index') }}">Who works here</a></p>
        <h2>Your data</h2>
        <p>Everything kept about you, as a JSON file: your account, devices, sign-ins, logs, photos and changes.</p>
        <p><a class="btn btn-quiet" href="{{ route('account.data') }}" download>Download your data</a></p>
        @can('leave', $person)
            <details><summary>Leave the firm</summary>
                <p>You are signed out everywhere and can sign in no more. What you planned and logged stays in the
                    record under your name.</p>
                <form method="post" action="{{ route('people.leave', $person) }}" data-sign-out>@csrf<button
                    class="btn btn-quiet">Leave for good</button></form></details>
        @endcan
    </div>
</x-layout>
