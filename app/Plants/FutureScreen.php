<?php

declare(strict_types=1);

namespace App\Plants;

use App\Bridge\CorePlants;
use App\Models\Plant;
use App\PlantBook\PlantBookFiles;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Drawing\Portrait;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Growth\GrowthKind;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Plant\Plant as CorePlant;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Regrowth\CutTime;
use PruningHook\Core\Regrowth\Future;
use PruningHook\Core\Regrowth\Stage;
use PruningHook\Core\Regrowth\TaskCuts;
use PruningHook\Core\Regrowth\Upbringing;

/** Grows a plant on from what is known of it, left alone and with its task. */
final readonly class FutureScreen
{
    /** Seasons a plant is grown for of which nobody knows when it was planted, and at the most. */
    private const USUAL = 8;

    private const MOST = 25;

    public function __construct(
        private PlantBook $book,
        private PlantBookFiles $files,
        private CorePlants $bridge,
    ) {
    }

    public function show(Plant $plant, string $taskKey, string $at, Day $today): FuturePage
    {
        $kind = $this->book->kind($plant->kind);
        $core = $this->bridge->plant($plant, $today);
        $years = $this->bridge->years($plant->garden);
        $year = $years->season(SiteYear::seasonOn($years->site, $today));
        $tasks = Prescriber::with($this->book)
            ->prescribe($core, $year, $this->bridge->practice($plant->garden))->tasks;
        $tasks = array_values(array_filter($tasks, static fn (Task $task): bool => $task->handsOff === null
            && TaskCuts::draws($task)));
        $task = array_column($tasks, null, 'key')[$taskKey] ?? $tasks[0] ?? null;
        $time = $task === null
            ? CutTime::Winter
            : CutTime::of($task->window, $kind->wood, KindYear::of($year, $kind->phenology));
        $living = $this->living(
            $plant, $core, $kind, SiteYear::seasonOn($years->site, $today),
            $core->state->upkeep === null ? $task : null, $time,
        );
        $left = Future::left($living);
        $futures = [[$left, 0]];
        if ($task !== null) {
            $futures[] = [Future::withTask($living, $task, $time), $task->minutes];
        }

        return new FuturePage(
            $plant, $kind, $tasks, $task, $at, self::courses($futures, $left, $at), self::rests($plant, $core),
        );
    }

    /**
     * As it stands at the end of the winter before the season.
     *
     * @param  ?Task  $task  that was done each year; null where it was neglected
     */
    private function living(
        Plant $row,
        CorePlant $plant,
        Kind $kind,
        int $season,
        ?Task $task,
        CutTime $time,
    ): LivingPlant {
        $grows = GrowthKind::of($kind, $this->files->readHabits()->of($kind, $plant->form), $this->book->figures);
        $seasons = $row->planted_on === null ? self::USUAL : $season - $row->planted_on->year();
        $living = Upbringing::of(
            $grows, max(1, min(self::MOST, $seasons)), $season - 1, "plant $row->id", $task, $time,
        );
        $stems = array_keys($living->stems());
        $counted = $plant->stems?->all();
        if ($counted !== null && $counted >= 1 && count($stems) > $counted) {
            $living = Cutting::of(
                $living, array_map(Cut::thin(...), array_slice($stems, 0, count($stems) - $counted)),
            )->plant;
        }

        return $living->scaledTo(max(100, $plant->heightMm ?? $kind->typicalHeightMm));
    }

    /** A model tells more from fewer, and not per cent by per cent. */
    private static function against(float $times): string
    {
        return match (true) {
            $times < 0.5 => 'less than half of what it bears left alone',
            $times < 0.85 => 'fewer than left alone',
            $times < 1.15 => 'about as many as left alone',
            $times < 2.0 => 'more than left alone',
            default => 'more than twice what it bears left alone',
        };
    }

    private static function rests(Plant $row, CorePlant $plant): string
    {
        $known = array_filter([
            $row->planted_on !== null ? 'the year it was planted' : null,
            $plant->heightMm !== null ? 'its height' : null,
            $plant->stems !== null ? 'its counted stems' : null,
        ]);

        return $known === []
            ? 'what its kind does as a rule: nobody has measured it'
            : 'what its kind does, '.implode(', ', $known);
    }

    /**
     * @param  list<array{Future, int}>  $futures  with their minutes
     * @return list<array{name: string, portrait: Portrait, stage: Stage, minutes: int, flowers: string}>
     */
    private static function courses(array $futures, Future $left, string $at): array
    {
        [$reach, $height] = [200, 300];
        foreach ($futures as [$future]) {
            foreach ($future->stages as $stage) {
                $reach = max($reach, Portrait::reach($stage->plant));
                $height = max($height, $stage->plant->heightMm());
            }
        }
        $courses = [];
        foreach ($futures as [$future, $minutes]) {
            $stage = $future->stages[$at];
            $usual = $left->stages[$at]->bloom->flowers ?? 0.0;
            $courses[] = [
                'name' => $future->name,
                'portrait' => Portrait::of($stage, (int) (2.1 * $reach), (int) (1.08 * $height)),
                'stage' => $stage,
                'minutes' => $minutes,
                'flowers' => $stage->bloom === null || $usual <= 0.0 ? '' : self::against(
                    $stage->bloom->flowers / $usual,
                ),
            ];
        }

        return $courses;
    }
}
