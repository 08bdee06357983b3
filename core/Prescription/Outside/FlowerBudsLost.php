<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Outside;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\PlantBook\FloweringWood;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\Reason;

/**
 * A plant that flowers on last year's wood sets its buds about six weeks after bloom; from then until it has bloomed
 * again, a cut takes flowers.
 */
final readonly class FlowerBudsLost implements OutsideRule
{
    /** Days from the end of bloom until next year's buds are set. Common practice; every shrub guide says so. */
    public const BUDS_SET_AFTER_BLOOM = 42;

    public function judge(Day $day, Kind $kind, KindYear $year, KindYear $next, array $tasks): ?Consequence
    {
        $takes = array_filter($tasks, static fn (TaskRule $task): bool => $task->takesFloweringWood);
        if ($kind->wood !== FloweringWood::Old || $takes === [] || ! $year->has(Anchor::BloomStart)) {
            return null;
        }
        $start = $year->day(Anchor::BloomStart);
        $end = $year->day(Anchor::BloomEnd);
        if (! $day->isBefore($end->plus(self::BUDS_SET_AFTER_BLOOM))) {
            return $this->lost('the buds for the coming bloom, from about '.$next->day(Anchor::BloomStart)->inWords().', are set');
        }
        if ($day->isBefore($start)) {
            return $this->lost('it carries the buds that open from about '.$start->inWords());
        }
        if (! $day->isAfter($end)) {
            return $this->lost('it is in bloom, until about '.$end->inWords());
        }

        return null;
    }

    private function lost(string $because): Consequence
    {
        return Consequence::cost(Reason::commonPractice(
            'Flowers lost',
            "It flowers on last year's wood and $because: not fatal, but each shoot cut now throws its flowers away.",
        ));
    }
}
