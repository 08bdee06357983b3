<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Days;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Figures;

/** Dense plants are looked through before a cut in the nesting season; a nest that was found closes them. */
final readonly class Nesting implements DayRule
{
    public function judge(DayCase $case): ?Consequence
    {
        $closes = $case->figures->number(Figure::NestCloses);
        foreach ($case->plant->history as $work) {
            if ($work->nest && ! $case->day->isBefore($work->on) && $case->day->isBefore($work->on->plus($closes))) {
                return Consequence::closed($case->figures->reason(Figure::NestCloses, 'Nest', sprintf(
                    'A nest was found on %s. An active nest stops the work by law in most places: closed until about %s, or until somebody sees that the young have flown.',
                    $work->on->inWords(), $work->on->plus($closes)->inWords(),
                )));
            }
        }
        [$from, $to] = self::season($case);
        if (! $case->kind->has('dense') || $case->day->isBefore($from) || $case->day->isAfter($to)) {
            return null;
        }

        return Consequence::mind($case->figures->reason(Figure::NestingFrom, 'Nesting season', sprintf(
            'Birds may be nesting in it until about %s: look through it before the first cut. An active nest stops the work.', $to->inWords(),
        )));
    }

    /** @return array{Day, Day} */
    private static function season(DayCase $case): array
    {
        $midwinter = $case->year->day(Anchor::Midwinter);

        return [$midwinter->plus($case->figures->number(Figure::NestingFrom)), $midwinter->plus($case->figures->number(Figure::NestingTo))];
    }

    public function turns(SeasonCase $season, Figures $figures): array
    {
        $midwinter = $season->year->day(Anchor::Midwinter);
        $turns = [$midwinter->plus($figures->number(Figure::NestingFrom)), $midwinter->plus($figures->number(Figure::NestingTo) + 1)];
        foreach ($season->plant->history as $work) {
            if ($work->nest) {
                $turns = [...$turns, $work->on, $work->on->plus($figures->number(Figure::NestCloses))];
            }
        }

        return $turns;
    }
}
