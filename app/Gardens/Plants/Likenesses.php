<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Gardens\Stems\StemBoard;
use App\Ground\Models\Plant;
use App\Ground\Models\StemSurvey;
use App\Knowledge\PlantBookFiles;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Drawing\SurveyedPlant;
use PruningHook\Core\Growth\FittedSurvey;
use PruningHook\Core\Growth\GrowthKind;
use PruningHook\Core\Plant\Plant as CorePlant;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Regrowth\CutTime;
use PruningHook\Core\Regrowth\Likeness;
use PruningHook\Core\Regrowth\TaskCuts;
use PruningHook\Core\Regrowth\YearlyCut;

/**
 * Living plants of the firm's rows, from all that is known of each.
 *
 * @phpstan-import-type Seen from FittedSurvey
 */
final readonly class Likenesses
{
    public function __construct(private PlantBook $book, private PlantBookFiles $files)
    {
    }

    /**
     * As it stands before a season's cut.
     *
     * @param  CorePlant  $core  the row's plant, or with other measures to look at
     * @param  ?Task  $task  that is done to it each year
     */
    public function of(Plant $row, CorePlant $core, SiteYear $year, ?Task $task): Likeness
    {
        $kind = $this->book->kind($core->kind);

        return Likeness::of(
            $core, $kind, $this->grows($core), $year->season,
            new YearlyCut($task, $this->time($core, $year, $task)), $this->surveyed($row, $year->season),
        );
    }

    public function grows(CorePlant $core): GrowthKind
    {
        $kind = $this->book->kind($core->kind);

        return GrowthKind::of($kind, $this->files->readHabits()->of($kind, $core->form), $this->book->figures);
    }

    /** When in the plant's year a task falls; a task that nobody names, in winter. */
    public function time(CorePlant $core, SiteYear $year, ?Task $task): CutTime
    {
        $kind = $this->book->kind($core->kind);

        return $task === null
            ? CutTime::Winter
            : CutTime::of($task->window->bestFrom, $kind->wood, KindYear::of($year, $kind->phenology));
    }

    /**
     * Those whose amounts can be drawn and that are the crew's; a rough pass not where another finishes it, since
     * nobody leaves it at that.
     *
     * @param  list<Task>  $tasks
     * @return list<Task>
     */
    public static function drawable(array $tasks): array
    {
        $drawn = array_values(array_filter(
            $tasks, static fn (Task $task): bool => $task->handsOff === null && TaskCuts::draws($task),
        ));
        $whole = array_values(array_filter($drawn, static fn (Task $task): bool => ! self::isRough($task)));

        return $whole === [] ? $drawn : $whole;
    }

    /**
     * What a plant is cut by each year that has one of its tasks: of a rough pass, what finishes it, and beside what
     * only pinches or looks, what shapes it.
     *
     * @param  list<Task>  $tasks  of its season
     */
    public static function yearly(Task $task, array $tasks): Task
    {
        return self::isRough($task) || ! TaskCuts::draws($task) ? self::drawable($tasks)[0] ?? $task : $task;
    }

    private static function isRough(Task $task): bool
    {
        return $task->amount(Effect::BudsOnCanes) !== null;
    }

    /**
     * Its stems as they were last surveyed, this season or the one before, without those that were cut.
     *
     * @return list<Seen>
     */
    public function surveyed(Plant $row, int $season): array
    {
        $survey = $row->exists
            ? StemSurvey::query()->where('plant_id', $row->id)->whereBetween('season', [$season - 1, $season])
                ->orderByDesc('season')->first()
            : null;
        if ($survey === null) {
            return [];
        }
        $surveyed = StemBoard::core($survey->state);
        $stems = [];
        foreach ($surveyed->stems as $stem) {
            if ($surveyed->stands($stem)) {
                $stems[] = SurveyedPlant::seen($stem->aged($season - $survey->season));
            }
        }

        return $stems;
    }
}
