<?php

declare(strict_types=1);

namespace PruningHook\Core\Regrowth;

use Closure;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
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

    /** Nobody cuts it. It is first shown as it stands when it would have been cut. */
    public static function left(LivingPlant $plant, CutTime $time): self
    {
        return self::run('Left alone', $plant, static fn (): array => [], $time);
    }

    /**
     * The task is done this season and in each that follows.
     *
     * @param  ?list<int>  $judged  stems that were judged to go this season, in their order
     */
    public static function withTask(
        LivingPlant $plant,
        Task $task,
        CutTime $time,
        ?string $name = null,
        ?array $judged = null,
    ): self {
        return self::run(
            $name ?? $task->name, $plant,
            static fn (LivingPlant $stands, int $year): array => TaskCuts::of(
                $stands, $task, judged: $year === 0 ? $judged : null,
            )->cuts, $time,
        );
    }

    /** Cut down to a height this season; the task is done in each that follows. */
    public static function cutHard(LivingPlant $plant, int $toMm, Task $task, CutTime $time): self
    {
        return self::run(
            'Cut it hard', $plant, static fn (LivingPlant $stands, int $year): array => $year === 0
                ? [Cut::down($toMm)]
                : TaskCuts::of($stands, $task)->cuts, $time,
        );
    }

    /**
     * These cuts are made this season, and none after.
     *
     * @param  list<Cut>  $cuts
     *
     * @throws \PruningHook\Core\Fault for a cut on wood that is not there
     */
    public static function withCuts(LivingPlant $plant, array $cuts, CutTime $time, string $name): self
    {
        return self::run(
            $name, $plant, static fn (LivingPlant $stands, int $year): array => $year === 0 ? $cuts : [], $time,
        );
    }

    /** A plant as it stands when it is cut: in summer it has grown. */
    public static function stands(LivingPlant $plant, CutTime $time): LivingPlant
    {
        return $time === CutTime::Summer ? Year::of($plant)->summer : $plant;
    }

    /**
     * The moment of a cut: as it stands, what goes and what is left.
     *
     * @param  ?list<int>  $judged  stems that were judged to go, in their order
     */
    public static function cut(LivingPlant $plant, Task $task, CutTime $time, ?array $judged = null): Stage
    {
        $stands = self::stands($plant, $time);
        $cut = TaskCuts::of($stands, $task, judged: $judged);

        return new Stage(
            $stands, $cut->cuts === [] ? null : $cut->left, null, self::share($stands, $cut->left), $cut->cuts,
            $cut->insurance($task),
        );
    }

    /** A plant a season on: the task was done, or where there is none nobody cut it. */
    public static function seasonOn(LivingPlant $plant, ?Task $task, CutTime $time): LivingPlant
    {
        return self::year(
            $plant, static fn (LivingPlant $stands): array => $task === null
                ? []
                : TaskCuts::of($stands, $task)->cuts, $time,
        )[0]->plant;
    }

    /** @param  Closure(LivingPlant, int): list<Cut>  $cuts  as it stands when it is cut, and the year from 0 */
    private static function run(string $name, LivingPlant $plant, Closure $cuts, CutTime $time): self
    {
        $stands = self::stands($plant, $time);
        $now = $cuts($stands, 0);
        $left = Cutting::of($stands, $now)->plant;
        $removed = self::share($stands, $left);
        $stages = [
            'now' => new Stage($stands, $now === [] ? null : $left, null, $removed, $now),
            'after' => new Stage($left, null, null, $removed),
        ];
        foreach (['bloom', 'one', 'two', 'three'] as $year => $key) {
            [$grown, $removed] = self::year(
                $plant, static fn (LivingPlant $stands): array => $cuts($stands, $year), $time,
            );
            $stages[$key] = new Stage($grown->inBloom, null, $grown->bloom, $removed);
            $plant = $grown->plant;
        }

        return new self($name, $stages);
    }

    /**
     * One season under a course.
     *
     * @param  Closure(LivingPlant): list<Cut>  $cutsOf
     * @return array{Year, int} and the share of its live wood that went, in per cent
     */
    private static function year(LivingPlant $plant, Closure $cutsOf, CutTime $time): array
    {
        $stands = self::stands($plant, $time);
        $cuts = $cutsOf($stands);
        $share = self::share($stands, Cutting::of($stands, $cuts)->plant);

        return [match ($time) {
            CutTime::Winter => Year::of($plant, $cuts),
            CutTime::AfterBloom => Year::of($plant, afterBloom: $cuts),
            CutTime::Summer => Year::of($plant, summer: $cuts),
        }, $share];
    }

    private static function share(LivingPlant $stood, LivingPlant $left): int
    {
        return $stood->living() === 0 ? 0 : (int) round(100 * (1 - $left->living() / $stood->living()));
    }
}
