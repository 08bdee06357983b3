<?php

declare(strict_types=1);

namespace App\Io\Webhooks;

use App\Ground\History\SecurityLog;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\Webhook;
use App\Ground\Models\WebhookDelivery;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\Middleware\WithoutOverlapping;
use Illuminate\Support\Carbon;

/**
 * Sends what waits for one webhook, in order, for a few seconds at a time so that other jobs get their turn. After a
 * failure the rest waits, longer each time; after three days of failures the webhook is turned off.
 */
final class DeliverWebhook implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Dispatchable;
    use Queueable;

    /** Seconds until the next attempt; the last again and again. */
    private const PAUSES = [10, 60, 300, 1800, 7200];

    private const GIVEN_UP_DAYS = 3;

    private const SLICE_S = 5;

    private const LOCKED_S = 60;

    public int $tries = 1;

    public int $timeout = 40;

    /** Seconds after which it can be asked for again, whatever became of it. */
    public int $uniqueFor = 120;

    public function __construct(private readonly int $webhook)
    {
    }

    public function uniqueId(): string
    {
        return (string) $this->webhook;
    }

    /** @return list<object> */
    public function middleware(): array
    {
        return [(new WithoutOverlapping("webhook $this->webhook"))->dontRelease()->expireAfter(self::LOCKED_S)];
    }

    /** Those with something to send whose pause is over: asked for each minute. */
    public static function sendWaiting(): void
    {
        $waiting = Webhook::query();
        $waiting->where('active', true)
            ->where(static fn ($due) => $due->whereNull('try_after')->orWhere('try_after', '<=', Carbon::now()))
            ->whereHas('deliveries', static fn ($unsent) => $unsent->whereNull('sent_at'));
        foreach ($waiting->pluck('id') as $id) {
            self::dispatch((int) $id);
        }
    }

    public function handle(CallsOut $calls): void
    {
        $webhook = Webhook::query()->where('active', true)->find($this->webhook);
        if ($webhook === null || $webhook->try_after?->isFuture() === true) {
            return;
        }
        $until = hrtime(true) + self::SLICE_S * 1_000_000_000;
        while (($next = self::next($webhook)) !== null) {
            if (hrtime(true) > $until) {
                self::dispatch($webhook->id);

                return;
            }
            if (! self::send($webhook, $next, $calls)) {
                return;
            }
        }
    }

    private static function next(Webhook $webhook): ?WebhookDelivery
    {
        $unsent = WebhookDelivery::query();
        $unsent->where('webhook_id', $webhook->id)->whereNull('sent_at')->orderBy('id');

        return $unsent->first();
    }

    private static function send(Webhook $webhook, WebhookDelivery $next, CallsOut $calls): bool
    {
        try {
            $calls->post($webhook->url, [
                'Content-Type' => 'application/json',
                ...WebhookSignature::headers($webhook->secret, $next->uuid, Carbon::now()->getTimestamp(), $next->body),
            ], $next->body);
        } catch (NotDelivered $failed) {
            self::failed($webhook, $failed->getMessage());

            return false;
        }
        $next->forceFill(['sent_at' => Carbon::now()])->save();
        $webhook->forceFill([
            'failures' => 0, 'failing_since' => null, 'try_after' => null, 'last_error' => null,
            'delivered_at' => Carbon::now(),
        ])->save();

        return true;
    }

    private static function failed(Webhook $webhook, string $because): void
    {
        $since = $webhook->failing_since ?? Carbon::now();
        $pause = self::PAUSES[min($webhook->failures, count(self::PAUSES) - 1)];
        $isOver = $since->isBefore(Carbon::now()->subDays(self::GIVEN_UP_DAYS));
        $webhook->forceFill([
            'failures' => $webhook->failures + 1, 'failing_since' => $since, 'active' => ! $isOver,
            'try_after' => Carbon::now()->addSeconds($pause), 'last_error' => mb_substr($because, 0, 300),
        ])->save();
        if ($isOver) {
            SecurityLog::note(SecurityEventKind::WebhookOff, says: (string) parse_url($webhook->url, PHP_URL_HOST));
        }
    }
}
