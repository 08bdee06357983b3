<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Days;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\PlantBook\FloweringWood;
use PruningHook\Core\PlantBook\Habit;

/** Dense plants are looked through before a cut in the nesting season; a nest that was found closes them. */
final readonly class Nesting implements DayRule
{
    public function judge(DayCase $case): ?Consequence
    {
        return self::found($case) ?? self::peak($case) ?? self::mayNest($case);
    }

    private static function found(DayCase $case): ?Consequence
    {
        $closes = $case->figures->number(Figure::NestCloses);
        foreach ($case->plant->history as $work) {
            if ($work->nest && ! $case->day->isBefore($work->on) && $case->day->isBefore($work->on->plus($closes))) {
                return Consequence::closed($case->figures->reason(Figure::NestCloses, 'Nest', sprintf(
                    'A nest was found on %s. An active nest stops the work by law in most places: closed until '
                        .'about %s, or until somebody sees that the young have flown.',
                    $work->on->inWords(), $work->on->plus($closes)->inWords(),
                )));
            }
        }

        return null;
    }

    private static function peak(DayCase $case): ?Consequence
    {
        $midwinter = $case->year->day(Anchor::Midwinter);
        $after = $midwinter->daysUntil($case->day);
        $last = $case->figures->number(Figure::NestingPeakTo);
        if (! self::hides($case) || $after < $case->figures->number(Figure::NestingPeakFrom) || $after > $last) {
            return null;
        }

        return Consequence::cost($case->figures->reason(Figure::NestingPeakTo, 'Nesting peak', sprintf(
            'Most nests are full until about %s, and a dense evergreen or a clipped hedge hides them: wait if it can '
                .'wait, and look through it from both sides if it cannot. An active nest stops the work.',
            $midwinter->plus($last)->inWords(),
        )));
    }

    private static function mayNest(DayCase $case): ?Consequence
    {
        [$from, $to] = self::season($case);
        if (! $case->kind->has('dense') || $case->day->isBefore($from) || $case->day->isAfter($to)) {
            return null;
        }

        return Consequence::mind($case->figures->reason(Figure::NestingFrom, 'Nesting season', sprintf(
            'Birds may be nesting in it until about %s: look through it before the first cut. An active nest stops '
                .'the work.',
            $to->inWords(),
        )));
    }

    /**
     * A clipped hedge, or a dense plant in leaf all year that is grown for its leaf: it can wait. What flowers in
     * spring and is cut straight after has no other time, and is looked through.
     */
    private static function hides(DayCase $case): bool
    {
        $dense =
            $case->kind->habit === Habit::Hedge
            || $case->plant->form === 'hedge'
            || ($case->kind->has('dense') && ! $case->kind->phenology->has(Anchor::LeafFall));

        return $dense && $case->kind->wood === FloweringWood::None;
    }

    /** @return array{Day, Day} */
    private static function season(DayCase $case): array
    {
        $midwinter = $case->year->day(Anchor::Midwinter);

        return [
            $midwinter->plus($case->figures->number(Figure::NestingFrom)),
            $midwinter->plus($case->figures->number(Figure::NestingTo)),
        ];
    }

    public function turns(SeasonCase $season, Figures $figures): array
    {
        $midwinter = $season->year->day(Anchor::Midwinter);
        $turns = [
            $midwinter->plus($figures->number(Figure::NestingFrom)),
            $midwinter->plus($figures->number(Figure::NestingTo) + 1),
            $midwinter->plus($figures->number(Figure::NestingPeakFrom)),
            $midwinter->plus($figures->number(Figure::NestingPeakTo) + 1),
        ];
        foreach ($season->plant->history as $work) {
            if ($work->nest) {
                $turns = [...$turns, $work->on, $work->on->plus($figures->number(Figure::NestCloses))];
            }
        }

        return $turns;
    }
}
