<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Outside;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\Reason;

/** The late-season stop: nothing that sets growth going from seven weeks before the first frost until rest. */
final readonly class TenderRegrowth implements OutsideRule
{
    public const BEFORE_FIRST_FROST = 49;

    /** Growth has stopped this long after the first frost where the kind has no leaf fall to tell by. */
    private const AFTER_FIRST_FROST = 14;

    public function judge(Day $day, Kind $kind, KindYear $year, KindYear $next, array $tasks): ?Consequence
    {
        $growing = array_filter($tasks, static fn (TaskRule $task): bool => $task->stimulates);
        $frost = $year->day(Anchor::FirstFrost);
        $rest = $year->has(Anchor::LeafFall) ? $year->day(Anchor::LeafFall) : $frost->plus(self::AFTER_FIRST_FROST);
        if ($growing === [] || $day->isBefore($frost->minus(self::BEFORE_FIRST_FROST)) || ! $day->isBefore($rest)) {
            return null;
        }

        return Consequence::closed(Reason::commonPractice('Late-season stop', sprintf(
            'The first frost comes about %s: shoots that a cut sets growing now will not ripen before it.',
            $frost->inWords(),
        )));
    }
}
