<?php

declare(strict_types=1);

namespace App\Ground\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * The season report, as it was last calculated.
 *
 * @phpstan-type Hours list<array<string, string|int>>
 * @phpstan-type Result array{hours: array<string, Hours>,
 *     windows: array<string, int>, waste: array<string, int>, renewal: array<int, int>,
 *     findings: list<array{garden: string, latitude: float, longitude: float, finding: string, count: int}>}
 *
 * @property int $season
 * @property ?Carbon $asked_at
 * @property ?Carbon $made_at null while it has not been calculated yet
 * @property ?Result $result hours by what they are added up by, each line a name and the columns of the report
 */
final class SeasonReport extends Model
{
    protected $primaryKey = 'season';

    public $incrementing = false;

    public $timestamps = false;

    protected $fillable = ['season', 'asked_at', 'made_at', 'result'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['asked_at' => 'datetime', 'made_at' => 'datetime', 'result' => 'array'];
    }

    public function isUnderWay(): bool
    {
        return $this->asked_at !== null && ($this->made_at === null || $this->made_at->isBefore($this->asked_at));
    }
}
