<?php

declare(strict_types=1);

namespace App\Ground\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * An address that is told of visits.
 *
 * @property int $id
 * @property string $url
 * @property string $secret base64 of the key its messages are signed with
 * @property list<string> $events values of `WebhookEvent`
 * @property bool $active
 * @property ?int $made_by
 * @property int $failures since the last delivery
 * @property ?Carbon $failing_since
 * @property ?Carbon $try_after
 * @property ?string $last_error
 * @property ?Carbon $delivered_at
 */
final class Webhook extends Model
{
    protected $fillable = ['url', 'secret', 'events', 'made_by', 'active'];

    protected $hidden = ['secret'];

    protected $attributes = ['active' => true, 'failures' => 0];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['secret' => 'encrypted', 'events' => 'array', 'active' => 'boolean', 'failing_since' => 'datetime',
            'try_after' => 'datetime', 'delivered_at' => 'datetime'];
    }

    /** @return HasMany<WebhookDelivery, $this> */
    public function deliveries(): HasMany
    {
        return $this->hasMany(WebhookDelivery::class);
    }
}
