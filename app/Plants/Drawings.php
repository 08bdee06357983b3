<?php

declare(strict_types=1);

namespace App\Plants;

use App\Models\Plant;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Drawing\Portrait;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Plant\Plant as CorePlant;
use PruningHook\Core\Plant\Taken;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Regrowth\Future;
use PruningHook\Core\Regrowth\Stage;
use PruningHook\Core\Units\Length;

/** Pictures of a plant: for a task, and of a season of its record. */
final readonly class Drawings
{
    public function __construct(private Likenesses $likenesses)
    {
    }

    /** @param  list<Task>  $tasks  all of its season */
    public function ofTask(Plant $row, CorePlant $core, SiteYear $year, Task $task, array $tasks): Drawn
    {
        $likeness = $this->likenesses->of($row, $core, $year, Likenesses::yearly($task, $tasks));
        $stage = Future::cut($likeness->living, $task, $this->likenesses->time($core, $year, $task));
        $cut = ($task->amount(Effect::CutHeight) ?? $task->amount(Effect::HeightAfter))?->target;
        $cut = $cut !== null && $cut < $stage->plant->heightMm() ? $cut : null;
        $flowers = $task->amount(Effect::FloweringHeight)?->target;

        return new Drawn(
            $likeness->living->kind->habit->key === 'arms'
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

    private static function inWords(Stage $stage, ?int $cutMm, ?int $flowersMm, string $when): string
    {
        $say = static fn (int $mm): string => Length::ofMm($mm)->metric();
        $gone = count($stage->plant->stems()) - count($stage->left?->stems() ?? $stage->plant->stems());

        return implode('; ', array_filter([
            $say($stage->plant->heightMm())." tall $when",
            $cutMm === null ? null : 'cut at '.$say($cutMm),
            $gone < 1 ? null : sprintf('%d %s out at the base', $gone, $gone === 1 ? 'stem' : 'stems'),
            $flowersMm === null ? null : 'flowers at about '.$say($flowersMm),
        ], is_string(...)));
    }
}
