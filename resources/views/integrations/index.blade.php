@use('App\Ground\Models\TokenScope')
@use('App\Io\Api\TokenController')
@use('App\Io\Api\TokenUse')
@use('App\Ground\Models\WebhookEvent')
<x-layout title="Integrations" quiet>
    <p class="crumbs"><a href="{{ route('files') }}">Files</a></p>
    <h1>Integrations</h1>
    <p class="to-56">For programs of your own: an API they can read, and webhooks that tell them when something happens.
        Both are described in <a href="/openapi.json">openapi.json</a> (OpenAPI 3.1).</p>
    <section aria-labelledby="tokens">
        <h2 id="tokens">API tokens</h2>
        <p class="to-56">A token lets one program read what you choose, in your name, until it expires. It cannot change
            anything. A new password revokes all of your tokens.</p>
        @if (session('token'))<p class="said"><span><samp>{{ session('token') }}</samp></span></p>@endif
        <ul class="due to-56">
            @foreach ($tokens as $token)
                <li>
                    <span class="what">{{ $token->name }}</span>
                    <span class="where">{{ $token->tokenable?->name }}; {{ implode(', ', $token->abilities ?? []) }};
                        {{ TokenUse::expiry($token) }}; {{ $token->last_used_at === null ? 'never used'
                        : 'last used '.Say::date(Today::of($token->last_used_at)) }}</span>
                    <form class="act" method="post" action="{{ route('tokens.destroy', $token) }}">@csrf
                        @method('delete')<button class="btn btn-quiet">Revoke</button></form>
                </li>
            @endforeach
        </ul>
        @if ($tokens->isEmpty())<p>No tokens yet.</p>@endif
        <details @if ($errors->hasAny(['name', 'days', 'scopes', 'scopes.*', 'current'])) open @endif>
            <summary>New token</summary>
            <form class="to-40" method="post" action="{{ route('tokens.store') }}" novalidate>
                @csrf<x-once />
                <x-field name="name" label="Program" required maxlength="80" help="What will use it." />
                <x-ticks name="scopes" legend="It may read" :options="TokenScope::named()" />
                <x-field name="days" label="Expires after" :options="TokenController::DAYS" :value="90" />
                <x-field name="current" label="Current password" type="password" autocomplete="current-password"
                    required />
                <button class="btn btn-primary">Create token</button>
            </form>
        </details>
    </section>
    <section aria-labelledby="webhooks">
        <h2 id="webhooks">Webhooks</h2>
        <p class="to-56">A webhook sends a signed message to an address of yours when something happens. A message holds
            ids and days, no names and no notes. What cannot be delivered is tried again for three days.</p>
        @if (session('signing'))<p class="said"><span><samp>{{ session('signing') }}</samp></span></p>@endif
        <ul class="due to-56">
            @foreach ($webhooks as $webhook)
                <li>
                    <span class="what">{{ $webhook->url }}</span>
                    <span class="where">{{ implode(', ', $webhook->events) }}; {{ match (true) {
                        ! $webhook->active => 'off',
                        $webhook->last_error !== null => 'failing: '.lcfirst(rtrim($webhook->last_error, '.')),
                        default => 'on' } }}{{ $webhook->waiting ? "; $webhook->waiting waiting" : '' }}; {{
                        $webhook->delivered_at === null ? 'nothing delivered yet' : 'last delivered '.Say::date(
                        Today::of($webhook->delivered_at)).', '.Say::time($webhook->delivered_at) }}</span>
                    <span class="act d-flex flex-wrap gap-2 justify-content-end">
                        @if ($webhook->active)
                            <form method="post" action="{{ route('webhooks.test', $webhook) }}">@csrf<button
                                class="btn btn-quiet">Send a test</button></form>
                        @endif
                        <form method="post" action="{{ route('webhooks.update', $webhook) }}">@csrf @method('put')<input
                            type="hidden" name="active" value="{{ $webhook->active ? 0 : 1 }}"><button
                            class="btn btn-quiet">{{ $webhook->active ? 'Turn off' : 'Turn on' }}</button></form>
                        <form method="post" action="{{ route('webhooks.destroy', $webhook) }}">@csrf
                            @method('delete')<button class="btn btn-quiet">Remove</button></form>
                    </span>
                </li>
            @endforeach
        </ul>
        @if ($webhooks->isEmpty())<p>No webhooks yet.</p>@endif
        <details @if ($errors->hasAny(['url', 'events', 'events.*'])) open @endif>
            <summary>New webhook</summary>
            <form class="to-40" method="post" action="{{ route('webhooks.store') }}" novalidate>
                @csrf<x-once />
                <x-field name="url" label="Address" type="url" required maxlength="500"
                    help="It must begin with https:// and be reachable on the public internet." />
                <x-ticks name="events" legend="Send a message for" :options="WebhookEvent::named()" />
                <button class="btn btn-primary">Add webhook</button>
            </form>
        </details>
    </section>
</x-layout>
