<?php

declare(strict_types=1);

namespace PruningHook\Core\Regrowth;

use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\PlantBook\FloweringWood;
use PruningHook\Core\PlantBook\Habit;
use PruningHook\Core\PlantBook\HardCutting;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Prescription\Task;

/**
 * What could be done with a plant, each course grown on by the model: leave it, its task, the hard cut, or its task as
 * each school does it. Only minutes and risks come from figures; heights, flowers and shares are what has grown.
 */
final readonly class Courses
{
    /** Per cent of the live wood from which a cut to a height is a hard one itself. Common practice. */
    private const HARD = 60;

    public function __construct(
        private LivingPlant $plant,
        private Kind $kind,
        private Figures $figures,
        private CutTime $time,
    ) {
    }

    /**
     * @param  ?Task  $task  null where nothing of the crew's is to be drawn
     * @param  ?list<int>  $judged  stems that were judged to go this season, in their order
     * @return non-empty-list<Course> leaving it first
     */
    public function for(?Task $task, ?array $judged = null): array
    {
        $next = $task === null ? 0 : $this->times($task->minutes, Figure::LeftOutTime);
        $courses = [new Course(
            'leave', 'Left alone', Future::left($this->plant, $this->time), 0,
            'Old wood gathers, flowers move up and out of reach'
                .($next === 0 ? '.' : "; the next cut takes about $next min."),
        )];
        if ($task === null) {
            return $courses;
        }
        $courses[] = $this->task('usual', $task->name, $task, $judged);

        $hard = $this->mayBeCutHard($task) ? $this->hard($task) : null;
        // Where all of it is cut down each year as it is, there is no cut that is harder.
        $usual = $courses[1]->future->stages['after']->removedPercent;
        $isHarder = $hard !== null && ! ($task->isCutToFlower() && $usual >= self::HARD)
            && $hard->future->stages['after']->removedPercent > $usual;

        return $isHarder ? [...$courses, $hard] : $courses;
    }

    /**
     * The task as two or three schools do it.
     *
     * @param  array<string, Task>  $tasks  the same task under each school, by the school in words
     * @param  array<string, ?list<int>>  $judged  stems that each school's rules take out this season
     * @return list<Course>
     */
    public function bySchool(array $tasks, array $judged = []): array
    {
        $courses = [];
        foreach (array_slice($tasks, 0, 3, true) as $school => $task) {
            $courses[] = $this->task('school', ucfirst($school), $task, $judged[$school] ?? null);
        }

        return $courses;
    }

    /** @param  ?list<int>  $judged */
    private function task(string $key, string $name, Task $task, ?array $judged): Course
    {
        return new Course(
            $key, $name, Future::withTask($this->plant, $task, $this->time, $name, $judged), $task->minutes,
            'Little, in its window.',
        );
    }

    /**
     * A tree is never topped: there is no hard cut for it but to a framework it is kept at (ANSI A300, from memory).
     * What is kept on wires or clipped is not cut down either.
     */
    private function mayBeCutHard(Task $task): bool
    {
        $habit = $this->plant->kind->habit;
        $isKept = $habit->wireMm !== null || $habit->trunkMm > 0 || $habit->turn <= 2;

        return $task->handsOff === null && ! $isKept
            && ($this->kind->habit !== Habit::Tree || $this->kind->lowestFrameworkMm !== null);
    }

    /** Cut hard this season, and treated as usual from then on. */
    private function hard(Task $task): Course
    {
        $height = $this->plant->heightMm();
        // Never past its lowest framework.
        $toMm = max(1, min($height, $this->kind->lowestFrameworkMm ?? intdiv($height, 3)));
        $future = Future::cutHard($this->plant, $toMm, $task, $this->time);
        $share = $future->stages['after']->removedPercent;
        $cap = $task->budget->capPercent;

        return new Course(
            'hard', 'Cut it hard', $future, $this->times($task->minutes, Figure::HardCutTime),
            ($share > $cap ? "Past this season's budget of $cap %: only as an agreed renovation. " : '').$this->risk(),
        );
    }

    private function risk(): string
    {
        [$says, $years] = match (true) {
            $this->kind->lowestFrameworkMm !== null => [
                'Down to its lowest framework and no further: expect strong shoots, and nothing if frost follows',
                Figure::RecoverWell,
            ],
            $this->kind->hardCutting === HardCutting::Well => [
                'It responds well to hard pruning: expect strong shoots that want thinning', Figure::RecoverWell,
            ],
            $this->kind->hardCutting === HardCutting::Slowly => [
                'It answers slowly: bare for a while, and one stem in ten may not break', Figure::RecoverSlowly,
            ],
            default => [
                'It answers badly: what is cut into old wood may never break again. Replace it rather',
                Figure::RecoverBadly,
            ],
        };
        $whole = $this->figures->number($years);

        return sprintf(
            '%s. Whole again in about %d %s.%s', $says, $whole, $whole === 1 ? 'year' : 'years',
            $this->kind->wood === FloweringWood::New
                ? sprintf(' It flowers about %d days later.', $this->figures->number(Figure::HardCutLater))
                : '',
        );
    }

    private function times(int $minutes, Figure $percent): int
    {
        return (int) round($minutes * $this->figures->number($percent) / 100);
    }
}
