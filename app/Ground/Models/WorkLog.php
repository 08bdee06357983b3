<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Casts\AsDay;
use App\Ground\Models\Concerns\KeepsVersions;
use App\Ground\Models\Concerns\WritesInTransaction;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Plant\Outcome;

/**
 * What was done: the line of the record that next year's decisions come from.
 *
 * @property int $id
 * @property int $visit_task_id
 * @property int $plant_id
 * @property string $task
 * @property int $season
 * @property Day $on
 * @property ?string $recipe it was done by, where that is known
 * @property Outcome $outcome
 * @property ?Hindrance $why
 * @property ?int $minutes
 * @property ?string $over_cap_reason why more was taken than may go
 * @property ?int $removed_percent live growth that came off, of what stood there
 * @property list<array{what: string, unit: string, value: int}> $amounts lengths in mm
 * @property list<string> $findings  keys of `Finding`
 * @property ?string $note
 * @property ?string $left_for_next_year
 * @property ?string $left_stem  ref of the stem in the survey that is left for then
 * @property ?bool $blades disinfected; null where nobody said
 * @property ?int $rain_mm that came in the days after it, once these are over
 * @property ?string $told who was told of what stopped the work
 * @property-read VisitTask $visitTask
 * @property-read Plant $plant
 * @property-read ?User $loggedBy
 */
final class WorkLog extends Model
{
    use KeepsVersions;
    use WritesInTransaction;

    protected $fillable = [
        'visit_task_id', 'plant_id', 'task', 'recipe', 'season', 'on', 'outcome', 'why', 'minutes', 'removed_percent',
        'over_cap_reason', 'amounts', 'findings', 'note', 'left_for_next_year', 'left_stem',
        'blades', 'told', 'logged_by',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'on' => AsDay::class, 'outcome' => Outcome::class, 'why' => Hindrance::class, 'amounts' => 'array',
            'findings' => 'array', 'blades' => 'boolean',
        ];
    }

    protected $attributes = ['amounts' => '[]', 'findings' => '[]'];

    public function found(Finding $finding): bool
    {
        return in_array($finding->value, $this->findings, true);
    }

    /** "Dead wood, Nest" */
    public function findingsInWords(): string
    {
        return implode(', ', array_map(
            static fn (string $finding): string => Finding::tryFrom($finding)?->inWords() ?? $finding,
            $this->findings,
        ));
    }

    /** "stem C, the oldest at the back"; empty where nothing was left */
    public function leftInWords(): string
    {
        return implode(', ', array_filter([
            $this->left_stem === null ? '' : "stem $this->left_stem", (string) $this->left_for_next_year,
        ], static fn (string $said): bool => $said !== ''));
    }

    /** @return BelongsTo<Plant, $this> also where the plant has been taken out of the book since */
    public function plant(): BelongsTo
    {
        return $this->belongsTo(Plant::class)->withTrashed();
    }

    /** @return BelongsTo<VisitTask, $this> */
    public function visitTask(): BelongsTo
    {
        return $this->belongsTo(VisitTask::class);
    }

    /** @return BelongsTo<User, $this> */
    public function loggedBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'logged_by');
    }

    public function versionLabel(): string
    {
        return "{$this->plant->label}, $this->task $this->season";
    }
}
