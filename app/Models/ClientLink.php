<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * The way to a client's own page. Whoever has it reads it, so that only a digest is kept; taken away, it opens nothing.
 *
 * @property int $id
 * @property int $garden_id
 * @property string $digest
 * @property ?int $made_by
 * @property ?Carbon $created_at
 * @property ?Carbon $seen_at when it was last opened
 * @property-read Garden $garden
 */
final class ClientLink extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['garden_id', 'digest', 'made_by', 'seen_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['seen_at' => 'datetime'];
    }

    /** @return BelongsTo<Garden, $this> */
    public function garden(): BelongsTo
    {
        return $this->belongsTo(Garden::class);
    }
}
