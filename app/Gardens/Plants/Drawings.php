<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Models\Plant;
use App\Ground\Support\Say;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Drawing\Portrait;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Plant\Plant as CorePlant;
use PruningHook\Core\Plant\Taken;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Regrowth\CutTime;
use PruningHook\Core\Regrowth\Future;
use PruningHook\Core\Regrowth\Stage;

/** Pictures of a plant: for a task, and of a season of its record. */
final readonly class Drawings
{
    public function __construct(private Likenesses $likenesses, private JudgedStems $judged)
    {
    }

    /** A plant for a task. What else is logged of the season is cut off first. */
    public function ofTask(PictureCase $of): Drawn
    {
        return $this->drawn($of, array_filter(
            self::done($of->now, $of->tasks), static fn (Task $each): bool => $each !== $of->task,
        ));
    }

    /** The same as it stands now: where the task is done nothing more goes. */
    public function asItStands(PictureCase $of): Drawn
    {
        return $this->drawn($of, self::done($of->now, $of->tasks));
    }

    /** @param  array<int, Task>  $done  in their order */
    private function drawn(PictureCase $of, array $done): Drawn
    {
        [$task, $core, $year] = [$of->task, $of->now, $of->year];
        $yearly = Likenesses::yearly($task, $of->tasks);
        $likeness = $this->likenesses->of($of->row, $of->before, $year, $yearly);
        $living = $likeness->living;
        $time = $this->likenesses->time($core, $year, $task);
        foreach ($done as $each) {
            $when = $this->likenesses->time($core, $year, $each);
            $living = Future::cut($living, $each, $when)->left ?? $living;
            // What was cut in leaf has grown, and does not grow again before the next cut.
            $time = $when === CutTime::Summer ? CutTime::Winter : $time;
        }
        $isDone = in_array($task, $done, true);
        if ($done !== [] && $core->heightMm !== null && ($isDone || ! self::isDone($core, $task))) {
            $living = $living->scaledTo(max(100, $core->heightMm));
        }
        $stage = $isDone
            ? new Stage($living, null, null, 0)
            : Future::cut($living, $task, $time, $this->judged->axes($of->row, $year->season, $likeness->living));
        $cut = ($task->amount(Effect::CutHeight) ?? $task->amount(Effect::HeightAfter))?->target;
        $cut = ! $isDone && $cut !== null && $cut < $stage->plant->heightMm() ? $cut : null;
        $flowers = $task->amount(Effect::FloweringHeight)?->target;

        return new Drawn(
            // Buds are counted on an arm seen near; one that is not cut, or whose canes are laid anew, is seen whole.
            $living->kind->habit->key === 'arms' && $stage->cuts !== []
            && $yearly->amount(Effect::BudsOnNewCanes) === null
                ? Portrait::arm($stage)
                : Portrait::alone($stage, leastMm: max(300, $flowers ?? 0)),
            $cut, $flowers, self::inWords($stage, $cut, $flowers, 'as it stands'), $likeness->restsOn,
            $stage->cuts !== [],
        );
    }

    /**
     * A season of the record: as it stood, and what went.
     *
     * @param  CorePlant  $core  as tall as it stood that season
     * @param  ?Task  $usual  that is done to it each year
     * @param  ?int  $flowersMm  where it flowered after the cut, where somebody noted it
     */
    public function ofRecord(CorePlant $core, SiteYear $year, ?Task $usual, Taken $taken, ?int $flowersMm): Drawn
    {
        $likeness = $this->likenesses->of(new Plant, $core, $year, $usual);
        $stems = $likeness->living->stems();
        uasort($stems, static fn ($a, $b): int => [$a->born(), $a->id] <=> [$b->born(), $b->id]);
        $cuts = array_map(Cut::thin(...), array_slice(
            array_keys($stems), 0, min($taken->stems(), max(0, count($stems) - 1)),
        ));
        if ($taken->heightMm !== null && $taken->heightMm < $likeness->living->heightMm()) {
            $cuts[] = Cut::down(max(1, $taken->heightMm));
        }
        $stage = new Stage($likeness->living, Cutting::of($likeness->living, $cuts)->plant, null, 0, $cuts);

        return new Drawn(
            Portrait::alone($stage, leastMm: max(300, $flowersMm ?? 0)), $taken->heightMm, $flowersMm,
            self::inWords($stage, $taken->heightMm, $flowersMm, 'as it stood'), $likeness->restsOn, $cuts !== [],
        );
    }

    /**
     * Tasks of a season that something was done of, the first first.
     *
     * @param  list<Task>  $tasks
     * @return list<Task>
     */
    public static function done(CorePlant $core, array $tasks): array
    {
        $done = array_values(array_filter(
            Likenesses::drawable($tasks), static fn (Task $task): bool => self::isDone($core, $task),
        ));
        usort($done, static fn (Task $a, Task $b): int => $core->logged($a->key, $a->season)?->on->number
            <=> $core->logged($b->key, $b->season)?->on->number);

        return $done;
    }

    private static function isDone(CorePlant $core, Task $task): bool
    {
        return $core->logged($task->key, $task->season)?->outcome->isSomething() === true;
    }

    private static function inWords(Stage $stage, ?int $cutMm, ?int $flowersMm, string $when): string
    {
        $say = static fn (int $mm): string => (string) Say::length($mm);
        $gone = count($stage->plant->stems()) - count($stage->left?->stems() ?? $stage->plant->stems());

        return implode('; ', array_filter([
            $say($stage->plant->heightMm())." tall $when",
            $cutMm === null ? null : 'cut at '.$say($cutMm),
            $gone < 1 ? null : sprintf('%d %s out at the base', $gone, $gone === 1 ? 'stem' : 'stems'),
            $flowersMm === null ? null : 'flowers at about '.$say($flowersMm),
        ], is_string(...)));
    }
}
