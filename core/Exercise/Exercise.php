<?php

declare(strict_types=1);

namespace PruningHook\Core\Exercise;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Growth\Axis;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\GrowthKind;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Growth\Year;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Regrowth\CutTime;
use PruningHook\Core\Regrowth\Future;
use PruningHook\Core\Regrowth\TaskCuts;
use PruningHook\Core\Regrowth\Upbringing;
use PruningHook\Core\Regrowth\YearlyCut;

/** A plant as it stands before somebody cuts it, the task that is to be done, and the days it could be done on. */
final readonly class Exercise
{
    /** Seasons that a lopped plant was lopped in. Common practice. */
    private const LOPPED = 3;

    /** Days that may be chosen of. */
    private const DAYS = 4;

    /**
     * @param  LivingPlant  $winter  at the end of the winter before
     * @param  LivingPlant  $plant  as it stands when it is cut
     * @param  list<Day>  $days  to choose of, one of them right
     */
    private function __construct(
        public Kind $kind,
        public Task $task,
        public KindYear $year,
        public CutTime $time,
        public LivingPlant $winter,
        public LivingPlant $plant,
        public array $days,
    ) {
    }

    /** @param  int  $seed  another plant of the same case for another number */
    public static function ofCase(
        ExerciseCase $case,
        Kind $kind,
        GrowthKind $grows,
        Task $task,
        KindYear $year,
        int $seed,
    ): self {
        $time = CutTime::of($task->window->bestFrom, $kind->wood, $year);
        $height = $case->heightMm ?? $grows->usualMm($kind);
        $last = $task->season - 1;
        $lopped = $case->loppedMm === null ? 0 : self::LOPPED;
        $left = array_fill_keys($case->left < 1 ? [] : range($task->season - $case->left, $last), false);
        $plant = Upbringing::of(
            $grows->fitting($height), $case->seasons - $lopped, $last - $lopped, "bench $case->key $seed",
            new YearlyCut($task, $time), $left,
        );
        for (; $lopped > 0; $lopped--) {
            $plant = Year::of($plant, [Cut::down((int) $case->loppedMm)])->plant;
        }

        return self::of(
            $kind, $task, $year, self::withDead($plant->scaledTo($height), $case->dead), "$case->key $seed",
        );
    }

    /**
     * A plant of the firm, as it is known.
     *
     * @param  LivingPlant  $winter  at the end of the winter before its task
     */
    public static function of(Kind $kind, Task $task, KindYear $year, LivingPlant $winter, string $seed): self
    {
        $time = CutTime::of($task->window->bestFrom, $kind->wood, $year);

        return new self(
            $kind, $task, $year, $time, $winter, Future::stands($winter, $time), self::choice($task, $seed),
        );
    }

    /** True where nothing of the task can be done with cuts on this plant. */
    public function isIdle(): bool
    {
        return TaskCuts::of($this->plant, $this->task)->cuts === [];
    }

    /** Inner branches that have died. */
    private static function withDead(LivingPlant $plant, int $many): LivingPlant
    {
        $children = $plant->children();
        $twigs = array_filter(
            $plant->axes, static fn (Axis $axis): bool => $axis->parent !== null && ! $axis->isDead()
                && ! isset($children[$axis->id]),
        );
        uasort($twigs, static fn (Axis $a, Axis $b): int => $plant->chance("dies $a->id")
            <=> $plant->chance("dies $b->id"));
        $axes = $plant->axes;
        foreach (array_slice(array_keys($twigs), 0, $many) as $id) {
            $axes[$id] = $axes[$id]->deadFrom(0);
        }

        return $plant->having($axes);
    }

    /**
     * The middle of its best days and days outside its window, by the calendar.
     *
     * @return list<Day>
     */
    private static function choice(Task $task, string $seed): array
    {
        $best = $task->window->bestFrom->plus(
            intdiv($task->window->bestTo->number - $task->window->bestFrom->number, 2),
        );
        $days = [];
        for ($step = 1; $step < 8; $step++) {
            $day = $best->plus(45 * $step);
            // Not in the window of this season, nor in that of the next.
            if ($day->isAfter($task->window->closes) && $day->minus(365)->isBefore($task->window->opens)) {
                $days[] = $day;
            }
        }
        usort($days, static fn (Day $a, Day $b): int => crc32("$seed $a->number") <=> crc32("$seed $b->number"));
        $days = [$best, ...array_slice($days, 0, self::DAYS - 1)];
        usort($days, static fn (Day $a, Day $b): int => $a->number <=> $b->number);

        return $days;
    }
}
