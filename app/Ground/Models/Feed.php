<?php

declare(strict_types=1);

namespace App\Ground\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A calendar that phones subscribe to. Whoever has its link reads it, so that of the link only a digest is kept.
 *
 * @property int $id
 * @property string $digest
 * @property ?int $crew_id
 * @property ?int $garden_id
 * @property ?int $made_by
 * @property ?Carbon $created_at
 * @property-read ?Crew $crew
 * @property-read ?Garden $garden
 */
final class Feed extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['digest', 'crew_id', 'garden_id', 'made_by'];

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** @return BelongsTo<Garden, $this> */
    public function garden(): BelongsTo
    {
        return $this->belongsTo(Garden::class);
    }
}
