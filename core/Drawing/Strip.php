<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Planning\Urgency;

/** The plant's year unrolled: bars on a line of time, one mm to a day unless told otherwise. */
final readonly class Strip
{
    private const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

    /**
     * @param  list<Bar>  $bars  in the order in which they are drawn
     * @param  list<float>  $hooks  where visits are, in mm
     */
    private function __construct(
        public float $width,
        public array $bars,
        public array $hooks,
        public ?float $today,
        public string $says,
    ) {
    }

    public static function of(PlantYear $year, float $mmPerDay = 1.0): self
    {
        $bar = static function (string $kind, Day $from, Day $to, string $says) use ($year, $mmPerDay): ?Bar {
            $seen = $year->span->clip($from, $to);

            return $seen === null ? null : new Bar(
                $kind,
                $year->span->from->daysUntil($seen->from) * $mmPerDay,
                $seen->days() * $mmPerDay,
                $says,
            );
        };
        $bars = [];
        foreach ($year->closed as $closure) {
            $bars[] = $bar('closed', $closure->from, $closure->to, "closed $closure->from to $closure->to");
        }
        foreach ($year->bloom as $bloom) {
            $bars[] = $bar('bloom', $bloom->from, $bloom->to, "in bloom $bloom->from to $bloom->to");
        }
        $said = [];
        foreach ($year->tasks as $due) {
            $window = $due->task->window;
            $says = sprintf(
                '%s: open %s to %s, best %s to %s', $due->task->name, $window->opens->inWords(),
                $window->closes->inWords(), $window->bestFrom->inWords(), $window->bestTo->inWords(),
            );
            $done = $due->urgency === Urgency::Done;
            $bars[] = $bar($done ? 'done' : 'open', $window->opens, $window->closes, $says);
            $bars[] = $done ? null : $bar('best', $window->bestFrom, $window->bestTo, $says);
            $said[] = $says.($done ? ' (done)' : '');
        }

        return new self(
            $year->span->days() * $mmPerDay,
            array_values(array_filter($bars)),
            array_map(static fn (Day $visit): float => $year->span->from->daysUntil($visit) * $mmPerDay, $year->visits),
            $year->span->holds($year->today) ? $year->span->from->daysUntil($year->today) * $mmPerDay : null,
            implode(' ', [...$year->faults, $said === [] ? 'nothing is due in these months' : implode('; ', $said)]),
        );
    }

    /** Stretches up to this long are marked by days, by weeks, longer ones by months. */
    private const DAYS_BY_DAY = 21;

    private const DAYS_BY_WEEK = 100;

    /**
     * The marks along a strip: the first of each month, each Monday where the stretch is short, each day where it is
     * very short.
     *
     * @return list<Mark>
     */
    public static function marks(Span $span, float $mmPerDay = 1.0): array
    {
        if ($span->days() > self::DAYS_BY_WEEK) {
            return self::months($span, $mmPerDay);
        }
        $weeks = [];
        $step = $span->days() <= self::DAYS_BY_DAY ? 1 : 7;
        for (
            $day = $step === 1 ? $span->from : $span->from->plus((8 - $span->from->weekday()) % 7);
            ! $day->isAfter($span->to);
            $day = $day->plus($step)
        ) {
            $weeks[] = new Mark(
                $span->from->daysUntil($day) * $mmPerDay, $day->dayOfMonth().' '.self::MONTHS[$day->month() - 1],
            );
        }

        return $weeks;
    }

    /** @return list<Mark> */
    private static function months(Span $span, float $mmPerDay): array
    {
        $months = [];
        for ($day = $span->from; ! $day->isAfter($span->to); $day = $day->plus(1)) {
            if ($day->dayOfMonth() === 1) {
                $months[] = new Mark($span->from->daysUntil($day) * $mmPerDay, self::MONTHS[$day->month() - 1]);
            }
        }

        return $months;
    }
}
