<?php

declare(strict_types=1);

namespace App\Ground\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What a client said on their own page.
 *
 * @property int $id
 * @property int $garden_id
 * @property ?int $visit_id
 * @property string $kind `agree`, `move` or `ask`
 * @property ?string $says
 * @property ?Carbon $created_at
 * @property ?Carbon $heard_at when somebody of the firm saw to it
 * @property ?int $heard_by
 * @property-read Garden $garden
 * @property-read ?Visit $visit
 */
final class ClientWord extends Model
{
    public const UPDATED_AT = null;

    public const KINDS = ['agree' => 'agrees', 'move' => 'asks to move it', 'ask' => 'asks'];

    protected $fillable = ['garden_id', 'visit_id', 'kind', 'says', 'heard_at', 'heard_by'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['heard_at' => 'datetime'];
    }

    /** @return BelongsTo<Garden, $this> */
    public function garden(): BelongsTo
    {
        return $this->belongsTo(Garden::class);
    }

    /** @return BelongsTo<Visit, $this> */
    public function visit(): BelongsTo
    {
        return $this->belongsTo(Visit::class);
    }
}
