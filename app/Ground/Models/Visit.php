<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Casts\AsDay;
use App\Ground\Models\Concerns\KeepsVersions;
use App\Ground\Models\Concerns\WritesInTransaction;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;

/**
 * A day's work of one crew in one garden.
 *
 * @property int $id
 * @property int $garden_id
 * @property ?int $crew_id
 * @property Day $on
 * @property ?string $outside_reason why the day lies outside the common window, where it does
 * @property ?int $planned_by
 * @property bool $locked nobody but a person moves it
 * @property bool $confirmed the client knows the day
 * @property int $unlogged tasks that wait for their log
 * @property bool $waiting whether any does
 * @property ?Carbon $updated_at
 * @property-read Garden $garden
 * @property-read ?Crew $crew
 * @property-read Collection<int, VisitTask> $tasks
 * @property-read Collection<int, Entry> $entries
 */
final class Visit extends Model
{
    use KeepsVersions;
    use WritesInTransaction;

    /** Days after its own on which a visit nobody has logged still holds its tasks: a phone may be without signal. */
    public const HELD_DAYS = 2;

    protected $fillable = ['garden_id', 'crew_id', 'on', 'outside_reason', 'planned_by', 'locked', 'confirmed'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['on' => AsDay::class, 'locked' => 'boolean', 'confirmed' => 'boolean'];
    }

    /** @return BelongsTo<Garden, $this> */
    public function garden(): BelongsTo
    {
        return $this->belongsTo(Garden::class);
    }

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** @return HasMany<VisitTask, $this> in the order of work */
    public function tasks(): HasMany
    {
        return $this->hasMany(VisitTask::class)->orderBy('position');
    }

    public function minutes(): int
    {
        return (int) $this->tasks->sum('minutes');
    }

    /** Counts anew how many of a visit's tasks wait for their log: the round asks for it of every visit. */
    public static function recount(mixed $visit): void
    {
        $unlogged = DB::table('visit_tasks')
            ->where('visit_id', $visit)
            ->whereNotExists(
                static fn ($log) => $log->from('work_logs')->whereColumn('work_logs.visit_task_id', 'visit_tasks.id'),
            )
            ->count();
        $counted = ['unlogged' => $unlogged, 'waiting' => $unlogged > 0];
        $waited = DB::table('visits')->where('id', $visit)->where('waiting', true)->update($counted) > 0;
        $waited || DB::table('visits')->where('id', $visit)->update($counted);
        if ($waited && $unlogged === 0 && DB::table('visit_tasks')->where('visit_id', $visit)->exists()) {
            event(new VisitDone(intval($visit)));
        }
    }

    /**
     * Narrows a query on visits to those that hold the tasks on them: today's and later ones, and recent ones whose log
     * may still be on its way. On a day that its crew has lost, a visit up to today holds nothing; later ones are
     * replanned as whole visits.
     */
    public static function holding(Builder $visits, Day $today): Builder
    {
        return $visits
            ->where('visits.on', '>=', (string) $today->minus(self::HELD_DAYS))
            ->where(static fn (Builder $held) => $held
                ->where('visits.on', '>', (string) $today)
                ->orWhereNotExists(self::dayOff(...)));
    }

    /** Narrows a query on visits to those of the past, or of a day lost, that hold nothing any more. */
    public static function over(Builder $visits, Day $today): Builder
    {
        return $visits
            ->where('visits.on', '<=', (string) $today)
            ->where(static fn (Builder $over) => $over
                ->where('visits.on', '<', (string) $today->minus(self::HELD_DAYS))
                ->orWhereExists(self::dayOff(...)));
    }

    private static function dayOff(Builder $day): void
    {
        $day->from('crew_days_off')
            ->whereColumn('crew_days_off.crew_id', 'visits.crew_id')
            ->whereColumn('crew_days_off.on', 'visits.on')
            ->whereNull('crew_days_off.people');
    }

    /** Stands where it is: nobody but a person moves it. */
    public function stands(): bool
    {
        return $this->locked || $this->confirmed || $this->outside_reason !== null;
    }

    /** @return HasMany<Entry, $this> what was said of it as a whole */
    public function entries(): HasMany
    {
        return $this->hasMany(Entry::class)->whereNull('visit_task_id')->orderBy('id');
    }

    public function isTouched(): bool
    {
        return $this->tasks->contains(static fn (VisitTask $task): bool => $task->log !== null);
    }

    public function versionLabel(): string
    {
        return "{$this->garden->name}, ".$this->on->inWords();
    }

    /** @return array<string, string> what goes with it, and by which column */
    public function goesWith(): array
    {
        return ['visit_tasks' => 'visit_id'];
    }

    /** Its tasks stand again, but for those that were planned anew meanwhile. */
    public function wasBroughtBack(): void
    {
        self::recount($this->id);
    }
}
