<?php

declare(strict_types=1);

namespace App\Io\Webhooks;

use App\Ground\History\SecurityLog;
use App\Ground\Models\Firm;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\Webhook;
use App\Ground\Models\WebhookEvent;
use App\Ground\Support\Controller;
use App\Ground\Support\SentOnce;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Addresses that are told of visits: added, tried, paused and removed. */
final class WebhookController extends Controller
{
    private const MOST = 20;

    public function store(Request $request): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $this->validate($request, [
            'url' => ['bail', 'required', 'string', 'max:500', static function ($field, $value, $fail): void {
                $wrong = is_string($value) ? OutsideAddress::wrong($value) : null;
                $wrong === null ?: $fail($wrong);
                Webhook::query()->count() < self::MOST ?: $fail('There are 20 webhooks already. Remove one first.');
            }],
            'events' => ['required', 'array'],
            'events.*' => [Rule::enum(WebhookEvent::class)],
        ], [
            'url.required' => 'Enter the address of the program that listens.',
            'events.required' => 'Choose at least one event.',
            'events.*' => 'Choose from the list.',
        ]);

        return SentOnce::write(static function () use ($request): RedirectResponse {
            $key = WebhookSignature::key();
            $webhook = Webhook::query()->create([
                'url' => $request->string('url')->toString(), 'secret' => $key, 'made_by' => $request->user()?->id,
                'events' => array_values(array_unique($request->array('events'))),
            ]);
            SecurityLog::note(SecurityEventKind::WebhookMade, says: self::host($webhook));

            return self::back('Webhook added. Copy its signing secret now: it is shown only once.')
                ->with('signing', WebhookSignature::shown($key));
        });
    }

    /** Sends it a message that tells of nothing, to see whether it listens. */
    public function test(Webhook $webhook): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        WebhookEvents::to($webhook, 'test', ['webhook_id' => $webhook->id]);
        $webhook->forceFill(['try_after' => null])->save();
        DeliverWebhook::dispatch($webhook->id);

        return self::back('A test message is on its way. Reload in a moment to see whether it arrived.');
    }

    /** Turns it on or off. What happened while it was off is not told afterwards. */
    public function update(Request $request, Webhook $webhook): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $this->validate($request, ['active' => ['required', 'boolean']]);
        $webhook->forceFill([
            'active' => $request->boolean('active'), 'failures' => 0, 'failing_since' => null, 'try_after' => null,
            'last_error' => null,
        ])->save();
        if (! $webhook->active) {
            SecurityLog::note(SecurityEventKind::WebhookOff, says: self::host($webhook));
        }

        return self::back($webhook->active ? 'Webhook turned on.' : 'Webhook turned off.');
    }

    public function destroy(Webhook $webhook): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $webhook->delete();
        SecurityLog::note(SecurityEventKind::WebhookOff, says: self::host($webhook));

        return self::back('Webhook removed.');
    }

    private static function host(Webhook $webhook): string
    {
        return (string) parse_url($webhook->url, PHP_URL_HOST);
    }

    private static function back(string $said): RedirectResponse
    {
        return redirect()->to(route('integrations').'#webhooks')->with('said', $said);
    }
}
