<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\InOneStroke;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * How a plant flowered in a season: what it says of its growth corrects next year's cut.
 *
 * @property int $id
 * @property int $plant_id
 * @property int $season
 * @property int $flowering_height_mm
 * @property ?int $score 1 (poor) to 5 (full)
 * @property-read Plant $plant
 */
final class BloomNote extends Model
{
    use InOneStroke;

    public const SCORES = [1 => 'hardly any', 2 => 'few', 3 => 'fair', 4 => 'many', 5 => 'full'];

    protected $fillable = ['plant_id', 'season', 'flowering_height_mm', 'score', 'noted_by'];

    /** @return BelongsTo<Plant, $this> */
    public function plant(): BelongsTo
    {
        return $this->belongsTo(Plant::class);
    }
}
