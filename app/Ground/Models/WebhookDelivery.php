<?php

declare(strict_types=1);

namespace App\Ground\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * One message to one webhook: written with the change it tells of, sent afterwards.
 *
 * @property int $id
 * @property int $webhook_id
 * @property string $uuid the same however often it is sent
 * @property string $event
 * @property string $body JSON, as it is signed
 * @property Carbon $created_at
 * @property ?Carbon $sent_at
 */
final class WebhookDelivery extends Model
{
    public const UPDATED_AT = null;

    private const KEPT_DAYS = 30;

    protected $fillable = ['webhook_id', 'uuid', 'event', 'body'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['sent_at' => 'datetime'];
    }

    public static function forgetOld(): void
    {
        self::query()->where('sent_at', '<', Carbon::now()->subDays(self::KEPT_DAYS))->delete();
    }
}
