<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Calendar\Closure;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\DayState;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Planning\Urgency;
use PruningHook\Core\Prescription\DayRun;

/**
 * A plant's year as a growth ring, January at the top, 200 mm across: each task on a ring of its own, bloom and
 * the days outside their windows inside them, visits on the rim, today as a hand.
 */
final readonly class Ring
{
    public const RIM = 84.0;

    /** From the rim to the middle of the letters of the months. */
    private const LETTERS = 13.0;

    private const LANE = 11.0;

    private const GAP = 2.5;

    /** Within it the word for today can be read: with many tasks all rings are narrower. */
    private const HEART = 20.0;

    /**
     * @param  list<Sector>  $sectors
     * @param  list<float>  $hooks  degrees at which visits stand
     * @param  float  $today  degrees
     */
    private function __construct(
        public array $sectors,
        public array $hooks,
        public float $today,
        public float $heart,
    ) {
    }

    /**
     * @param  list<DayRun>  $days  what each day of the year is; where given, they are drawn in place of the closures
     */
    public static function of(PlantYear $year, array $days = []): self
    {
        $keys = array_values(array_unique(
            array_map(static fn (DueTask $due): string => $due->task->key, $year->tasks),
        ));
        // One for each task, half of one for bloom, one for what is outside.
        $asked = (count($keys) + 2) * (self::LANE + self::GAP) - self::LANE / 2;
        $scale = min(1.0, (self::RIM - self::HEART) / $asked);
        [$lane, $gap] = [self::LANE * $scale, self::GAP * $scale];
        $sectors = [];
        foreach ($year->tasks as $due) {
            $outer = self::RIM - (int) array_search($due->task->key, $keys, true) * ($lane + $gap);
            $sectors = [...$sectors, ...self::taskSectors($due, $outer, $lane)];
        }
        $bloomOuter = self::RIM - count($keys) * ($lane + $gap);
        foreach ($year->bloom as $bloom) {
            $sectors[] = self::sector('bloom', $bloom->from, $bloom->to, $bloomOuter, $lane / 2, sprintf(
                'In bloom, about %s to %s', $bloom->from->inWords(), $bloom->to->inWords(),
            ));
        }
        $closedOuter = $bloomOuter - $lane / 2 - $gap;
        $inner = $days === []
            ? self::closures($year, $closedOuter, $lane)
            : self::days($days, $closedOuter, $lane);
        $sectors = [...$sectors, ...$inner];

        return new self(
            $sectors,
            array_map(self::degrees(...), $year->visits),
            self::degrees($year->today),
            $inner === [] ? $closedOuter : $closedOuter - $lane - $gap,
        );
    }

    /** @return list<array{label: string, at: Spot}> the first letter of each month outside the rim, y down */
    public static function months(): array
    {
        return array_map(static fn (string $month, int $index): array => [
            'label' => $month, 'at' => Spot::onRim($index * 30 + 15, self::RIM + self::LETTERS),
        ], str_split('JFMAMJJASOND'), range(0, 11));
    }

    /** @return list<Sector> */
    private static function closures(PlantYear $year, float $outer, float $lane): array
    {
        return array_map(
            static fn (Closure $closure): Sector => self::sector(
                'closed', $closure->from, $closure->to, $outer, $lane,
                sprintf(
                    '%s %s to %s: %s', $closure->name, $closure->from->inWords(), $closure->to->inWords(),
                    $closure->because,
                ),
            ),
            $year->closed,
        );
    }

    /**
     * The days outside every window: those possible at a cost as a thin band, the closed ones hatched.
     *
     * @param  list<DayRun>  $days
     * @return list<Sector>
     */
    private static function days(array $days, float $outer, float $lane): array
    {
        $sectors = [];
        foreach ($days as $run) {
            if ($run->state === DayState::Closed || $run->state === DayState::AtACost) {
                $sectors[] =
                    $run->state === DayState::Closed
                        ? self::sector('closed', $run->from, $run->to, $outer, $lane, $run->inWords())
                        : self::sector(
                            'cost', $run->from, $run->to, $outer - $lane / 3, $lane / 3, $run->inWords(),
                        );
            }
        }

        return $sectors;
    }

    /** Where a day stands on the ring: January at the top, clockwise. */
    public static function degrees(Day $day): float
    {
        return ($day->dayOfYear() - 1) / 365.25 * 360;
    }

    /** @return list<Sector> */
    private static function taskSectors(DueTask $due, float $outer, float $lane): array
    {
        $window = $due->task->window;
        $says = sprintf(
            '%s: open %s to %s, best %s to %s%s',
            $due->task->name,
            $window->opens->inWords(),
            $window->closes->inWords(),
            $window->bestFrom->inWords(),
            $window->bestTo->inWords(),
            $due->urgency === Urgency::Done ? ', done' : '',
        );
        if ($due->urgency === Urgency::Done) {
            return [self::sector('done', $window->opens, $window->closes, $outer, $lane, $says)];
        }

        return [
            self::sector('open', $window->opens, $window->closes, $outer, $lane, $says),
            self::sector('best', $window->bestFrom, $window->bestTo, $outer, $lane, $says),
        ];
    }

    private static function sector(string $kind, Day $from, Day $to, float $outer, float $width, string $says): Sector
    {
        $start = self::degrees($from);
        // A stretch of a year or more goes once round and no further.
        $turn = min(359.9, ($from->daysUntil($to) + 1) / 365.25 * 360);

        return new Sector($kind, $start, $start + $turn, $outer - $width, $outer, $says);
    }
}
