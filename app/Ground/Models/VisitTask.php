<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Casts\AsSnapshot;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Prescription\Snapshot;
use PruningHook\Core\Structure\Judgement;

/**
 * One task of one plant on one visit, with the prescription as it stood when it was planned.
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
 * @property ?bool $standing true where it waits on a visit: only once by a rule of the database; else null
 * @property Snapshot $prescribed
 * @property ?array{state: State,
 *     aim: array{plan: string, keep_min: ?int, keep: ?int, keep_max: ?int, budget: int, source: string,
 *         grafted: bool, young: int, pencil: int, school: string, upright?: int, thin?: int},
 *     judged?: Recalled} $cut_plan the stems and the aim they were judged by for this visit
 * @property-read Visit $visit
 * @property-read Plant $plant
 * @property-read ?WorkLog $log
 * @property-read Collection<int, Entry> $entries
 * @property-read Collection<int, Photo> $photos
 */
final class VisitTask extends Model
{
    protected $fillable = [
        'visit_id', 'plant_id', 'task', 'season', 'position', 'minutes', 'prescribed', 'cut_plan', 'standing',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['prescribed' => AsSnapshot::class, 'cut_plan' => 'array', 'standing' => 'boolean'];
    }

    /** False where somebody only comes back and looks. */
    public function isCut(): bool
    {
        return $this->prescribed->recipe !== LoggedWork::FOLLOW_UP;
    }

    /**
     * What is logged waits no more; where its log was taken back it waits again, if it was not planned anew meanwhile.
     */
    public static function stand(int $id): void
    {
        $logged = DB::table('work_logs')->where('visit_task_id', $id)->exists();
        $logged
            ? DB::table('visit_tasks')->where('id', $id)->update(['standing' => null])
            : DB::table('visit_tasks')->where('id', $id)->whereNull('standing')->whereNotExists(
                static fn ($other) => $other->from('visit_tasks as others')
                    ->whereColumn('others.plant_id', 'visit_tasks.plant_id')
                    ->whereColumn('others.task', 'visit_tasks.task')
                    ->whereColumn('others.season', 'visit_tasks.season')
                    ->where('others.standing', 1),
            )->update(['standing' => 1]);
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

    /** @return HasMany<Entry, $this> all that was ever said of it, as it arrived */
    public function entries(): HasMany
    {
        return $this->hasMany(Entry::class)->orderBy('id');
    }

    /** @return HasMany<Photo, $this> */
    public function photos(): HasMany
    {
        return $this->hasMany(Photo::class)->orderBy('taken_at');
    }

    /** @return HasOne<WorkLog, $this> */
    public function log(): HasOne
    {
        return $this->hasOne(WorkLog::class);
    }
}
