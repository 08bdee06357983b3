<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A sign of spring that the crew saw in a garden; one of a sort a season.
 *
 * @property int $id
 * @property int $garden_id
 * @property string $event as core/PlantBook/Observation has it
 * @property Carbon $on
 * @property int $season
 * @property-read Garden $garden
 * @property-read ?User $seenBy
 */
final class Observation extends Model
{
    /** The signs offered for a tap, in the order in which they come. */
    public const SIGNS = [
        'witch-hazel-bloom' => 'Witch hazel in flower',
        'forsythia-bloom' => 'Forsythia in flower',
        'flowering-currant-bloom' => 'Flowering currant in flower',
        'bush-rose-bud-break' => 'Roses breaking bud',
        'plum-bloom' => 'Plum in flower',
        'apple-bloom' => 'Apple in flower',
        'lilac-bloom' => 'Lilac in flower',
    ];

    protected $fillable = ['garden_id', 'event', 'on', 'season', 'seen_by'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['on' => 'date'];
    }

    /** @return BelongsTo<Garden, $this> */
    public function garden(): BelongsTo
    {
        return $this->belongsTo(Garden::class);
    }

    /** @return BelongsTo<User, $this> */
    public function seenBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'seen_by');
    }
}
