<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Concerns\KeepsVersions;
use App\Ground\Models\Concerns\WritesInTransaction;
use App\Ground\Support\Say;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * How a plant flowered in a season: what it says of its growth corrects next year's cut.
 *
 * @property int $id
 * @property int $plant_id
 * @property int $season
 * @property ?int $flowering_height_mm null where nobody measured it
 * @property ?int $score 1 (poor) to 5 (full)
 * @property ?Regrowth $regrowth
 * @property ?bool $diseased null where nobody looked
 * @property-read Plant $plant
 */
final class BloomNote extends Model
{
    use KeepsVersions;
    use WritesInTransaction;

    public const SCORES = [1 => 'hardly any', 2 => 'few', 3 => 'fair', 4 => 'many', 5 => 'full'];

    protected $fillable = ['plant_id', 'season', 'flowering_height_mm', 'score', 'regrowth', 'diseased', 'noted_by'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['regrowth' => Regrowth::class, 'diseased' => 'boolean'];
    }

    /** "flowered at 1.1 m, many; grew rank, with watershoots; disease on it" */
    public function inWords(): string
    {
        $flowered = implode(', ', array_filter([
            $this->flowering_height_mm === null ? '' : 'at '.Say::length($this->flowering_height_mm),
            $this->score === null ? '' : self::SCORES[$this->score],
        ]));

        return implode('; ', array_filter([
            $flowered === '' ? '' : "flowered $flowered",
            $this->regrowth === null ? '' : 'grew '.$this->regrowth->inWords(),
            $this->diseased === null ? '' : ($this->diseased ? 'disease on it' : 'no disease on it'),
        ]));
    }

    /** @return BelongsTo<Plant, $this> */
    public function plant(): BelongsTo
    {
        return $this->belongsTo(Plant::class);
    }

    public function versionLabel(): string
    {
        // Of a plant that has been taken out too.
        $plant = $this->plant()->withTrashed()->first();

        return ($plant->label ?? '').", bloom of $this->season";
    }
}
