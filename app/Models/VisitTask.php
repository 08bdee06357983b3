<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use PruningHook\Core\Structure\Judgement;

/**
 * One task of one plant on one visit, with the prescription as it stood when it was planned.
 *
 * @phpstan-type Amount array{what: string, unit: string, min: int, target: int, max: int}
 * @phpstan-type Prescribed array{key: string, name: string, method: string, recipe?: string,
 *     cap?: array{percent: int, source: string}, school: ?string,
 *     window: array{opens: string, best_from: string, best_to: string, closes: string}, amounts: list<Amount>,
 *     steps: list<string>, minutes: int, kit?: array<string, mixed>, cautions: list<string>,
 *     reasons: list<array{rule: string, because: string, source: string}>}
 *
 * @phpstan-import-type State from StemSurvey
 * @phpstan-import-type Recalled from Judgement
 *
 * @property int $id
 * @property int $visit_id
 * @property int $plant_id
 * @property string $task
 * @property int $season
 * @property int $position
 * @property int $minutes as prescribed
 * @property Prescribed $prescribed
 * @property ?array{state: State,
 *     aim: array{plan: string, keep_min: ?int, keep: ?int, keep_max: ?int, budget: int, source: string,
 *         grafted: bool, young: int, pencil: int, school: string},
 *     judged?: Recalled} $cut_plan the stems and the aim they were judged by for this visit
 * @property-read Visit $visit
 * @property-read Plant $plant
 * @property-read ?WorkLog $log
 */
final class VisitTask extends Model
{
    protected $fillable = ['visit_id', 'plant_id', 'task', 'season', 'position', 'minutes', 'prescribed', 'cut_plan'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['prescribed' => 'array', 'cut_plan' => 'array'];
    }

    /** @return BelongsTo<Visit, $this> */
    public function visit(): BelongsTo
    {
        return $this->belongsTo(Visit::class);
    }

    /** @return BelongsTo<Plant, $this> also where the plant has been taken out of the book since */
    public function plant(): BelongsTo
    {
        return $this->belongsTo(Plant::class)->withTrashed();
    }

    /** @return HasOne<WorkLog, $this> */
    public function log(): HasOne
    {
        return $this->hasOne(WorkLog::class);
    }
}
