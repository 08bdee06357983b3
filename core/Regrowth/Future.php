<?php

declare(strict_types=1);

namespace PruningHook\Core\Regrowth;

use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Growth\Year;
use PruningHook\Core\Prescription\Task;

/** What becomes of a plant in three years under one course: each moment of it, grown by the model. */
final readonly class Future
{
    /** @param  array<string, Stage>  $stages  by the keys of `Stage::NAMES` */
    private function __construct(public string $name, public array $stages)
    {
    }

    /** Nobody cuts it. */
    public static function left(LivingPlant $plant): self
    {
        return self::run('Left alone', $plant, null, CutTime::Winter);
    }

    /** The task is done this season and in each that follows. */
    public static function withTask(LivingPlant $plant, Task $task, CutTime $time): self
    {
        return self::run($task->name, $plant, $task, $time);
    }

    private static function run(string $name, LivingPlant $plant, ?Task $task, CutTime $time): self
    {
        $cut = $task === null ? null : TaskCuts::of($plant, $task);
        $stages = [
            'now' => new Stage($plant, $cut?->left, null, 0),
            'after' => new Stage($cut->left ?? $plant, null, null, self::share($plant, $cut->left ?? $plant)),
        ];
        foreach (['bloom', 'one', 'two', 'three'] as $key) {
            [$year, $removed] = self::year($plant, $task, $time);
            $stages[$key] = new Stage($year->inBloom, null, $year->bloom, $removed);
            $plant = $year->plant;
        }

        return new self($name, $stages);
    }

    /**
     * One season under a course.
     *
     * @return array{Year, int} and the share of its live wood that went, in per cent
     */
    public static function year(LivingPlant $plant, ?Task $task, CutTime $time): array
    {
        if ($task === null) {
            return [Year::of($plant), 0];
        }
        if ($time === CutTime::Summer) {
            $grown = Year::of($plant)->summer;
            $cut = TaskCuts::of($grown, $task);

            return [Year::of($plant, summer: $cut->cuts), self::share($grown, $cut->left)];
        }
        $cut = TaskCuts::of($plant, $task);

        return [
            $time === CutTime::Winter ? Year::of($plant, $cut->cuts) : Year::of($plant, afterBloom: $cut->cuts),
            self::share($plant, $cut->left),
        ];
    }

    private static function share(LivingPlant $stood, LivingPlant $left): int
    {
        return $stood->living() === 0 ? 0 : (int) round(100 * (1 - $left->living() / $stood->living()));
    }
}
