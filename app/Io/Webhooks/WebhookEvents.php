<?php

declare(strict_types=1);

namespace App\Io\Webhooks;

use App\Ground\Models\Visit;
use App\Ground\Models\VisitChanged;
use App\Ground\Models\VisitDone;
use App\Ground\Models\Webhook;
use App\Ground\Models\WebhookDelivery;
use App\Ground\Models\WebhookEvent;
use App\Ground\Models\WorkLog;
use App\Ground\Support\Today;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Str;

/**
 * Writes what webhooks are told of, in the transaction of the change itself: a change that is rolled back is told to
 * nobody. It names rows by their ids; who is told reads the rest over the API, with a token.
 */
final class WebhookEvents
{
    /** @var ?Collection<int, Webhook> read once a request, and only when something is to be told */
    private ?Collection $webhooks = null;

    public static function start(): void
    {
        // A listener that returns false would keep the others from hearing of it: none returns anything.
        foreach (['saved', 'deleted'] as $changed) {
            Webhook::$changed(static function (): void {
                app(self::class)->webhooks = null;
            });
        }
        Visit::created(static function (Visit $visit): void {
            $visit->on->isBefore(Today::day()) || app(self::class)->visit(WebhookEvent::Planned, $visit);
        });
        Visit::updated(static function (Visit $visit): void {
            $visit->wasChanged(['on', 'crew_id']) && app(self::class)->visit(WebhookEvent::Moved, $visit);
        });
        Visit::deleted(static function (Visit $visit): void {
            app(self::class)->visit(WebhookEvent::Cancelled, $visit);
        });
        Event::listen(static function (VisitChanged $changed): void {
            app(self::class)->visit($changed->what, $changed->visit);
        });
        Event::listen(static function (VisitDone $done): void {
            app(self::class)->done($done->visit);
        });
        WorkLog::saved(static function (WorkLog $log): void {
            $isNews = $log->wasRecentlyCreated || $log->wasChanged('why');
            $isNews && $log->why?->isStop() === true && app(self::class)->stopped($log);
        });
    }

    private function visit(WebhookEvent $event, Visit $visit): void
    {
        $this->note($event, [
            'visit_id' => $visit->id, 'garden_id' => $visit->garden_id, 'crew_id' => $visit->crew_id,
            'on' => (string) $visit->on,
        ]);
    }

    private function done(int $id): void
    {
        $visit = $this->isTold(WebhookEvent::Done) ? Visit::query()->find($id) : null;
        $visit === null ?: $this->visit(WebhookEvent::Done, $visit);
    }

    private function stopped(WorkLog $log): void
    {
        if ($this->isTold(WebhookEvent::Stopped)) {
            $visit = $log->visitTask->visit;
            $this->note(WebhookEvent::Stopped, [
                'visit_id' => $visit->id, 'garden_id' => $visit->garden_id, 'crew_id' => $visit->crew_id,
                'on' => (string) $log->on, 'plant_id' => $log->plant_id, 'task' => $log->task,
                'season' => $log->season, 'reason' => $log->why?->value,
            ]);
        }
    }

    /** @param  array<string, scalar|null>  $data */
    private function note(WebhookEvent $event, array $data): void
    {
        foreach ($this->toldOf($event) as $webhook) {
            self::to($webhook, $event->value, $data);
        }
    }

    /** @param  array<string, scalar|null>  $data */
    public static function to(Webhook $webhook, string $event, array $data): void
    {
        WebhookDelivery::query()->create([
            'webhook_id' => $webhook->id, 'uuid' => (string) Str::uuid(), 'event' => $event,
            'body' => json_encode(
                ['type' => $event, 'timestamp' => Carbon::now()->toIso8601ZuluString(), 'data' => $data],
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES,
            ),
        ]);
        // Once, however many visits a plan makes.
        DB::afterCommit(static fn () => DeliverWebhook::dispatch($webhook->id));
    }

    private function isTold(WebhookEvent $event): bool
    {
        return $this->toldOf($event)->isNotEmpty();
    }

    /** @return Collection<int, Webhook> */
    private function toldOf(WebhookEvent $event): Collection
    {
        $this->webhooks ??= Webhook::query()->where('active', true)->get();

        return $this->webhooks->filter(
            static fn (Webhook $webhook): bool => in_array($event->value, $webhook->events, true),
        );
    }
}
