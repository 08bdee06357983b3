<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Casts\AsDay;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use PruningHook\Core\Calendar\Day;

/**
 * The stems of one plant as they were surveyed in a season, as the taps on it have left them.
 *
 * @phpstan-type StemState array{ref: string, azimuth_deg: int, lean_deg: int, length_mm: int, base_mm: int,
 *     age_years: ?int, faults: list<string>}
 * @phpstan-type State array{stems: list<StemState>, cut: list<string>, word: array<string, string>, keep: ?int,
 *     budget: ?int}
 *
 * @property int $id
 * @property int $plant_id
 * @property int $season
 * @property State $state the sum of its taps
 * @property ?Day $surveyed_on the day of its first tap, by which ages are read
 * @property-read Plant $plant
 */
final class StemSurvey extends Model
{
    public const EMPTY = ['stems' => [], 'cut' => [], 'word' => [], 'keep' => null, 'budget' => null];

    protected $fillable = ['plant_id', 'season', 'state', 'surveyed_on'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['state' => 'array', 'surveyed_on' => AsDay::class];
    }

    protected $attributes = ['state' => '{"stems":[],"cut":[],"word":[],"keep":null,"budget":null}'];

    /** @return BelongsTo<Plant, $this> */
    public function plant(): BelongsTo
    {
        return $this->belongsTo(Plant::class);
    }

    public static function of(Plant $plant, int $season): self
    {
        return self::query()->firstOrNew(['plant_id' => $plant->id, 'season' => $season]);
    }

    /** The last survey of a season before this one; null where there is none. */
    public function ofSeasonBefore(): ?self
    {
        $before = self::query();
        $before->where('plant_id', $this->plant_id)->where('season', '<', $this->season)->orderByDesc('season');

        return $before->first();
    }
}
