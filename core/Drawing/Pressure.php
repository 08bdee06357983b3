<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Planning\Urgency;

/**
 * How much is open at once: for each week (or day, on short stretches) of a stretch, how many of a group's plants have
 * work open, and how many of them at its best. Many strips laid over each other, told in one line.
 */
final readonly class Pressure
{
    /** Stretches up to this long are counted by days. */
    private const BY_DAY = 45;

    /**
     * @param  list<array{x: float, width: float, open: int, best: int, from: Day}>  $steps
     * @param  ?float  $today  in mm
     */
    private function __construct(
        public float $width,
        public array $steps,
        public int $plants,
        public ?float $today,
        public string $says,
    ) {
    }

    /**
     * @param  list<PlantYear>  $years  of the group's plants, reaching over the stretch
     */
    public static function of(array $years, Span $shown, Day $today, float $mmPerDay = 1.0): self
    {
        $step = $shown->days() <= self::BY_DAY ? 1 : 7;
        $steps = [];
        for ($from = $shown->from; ! $from->isAfter($shown->to); $from = $from->plus($step)) {
            $to = Day::earliest($from->plus($step - 1), $shown->to);
            $steps[] = [
                'x' => $shown->from->daysUntil($from) * $mmPerDay,
                'width' => ($from->daysUntil($to) + 1) * $mmPerDay,
                'open' => self::count($years, static fn (PlantYear $year): bool => self::has($year, $from, $to, false)),
                'best' => self::count($years, static fn (PlantYear $year): bool => self::has($year, $from, $to, true)),
                'from' => $from,
            ];
        }

        return new self($shown->days() * $mmPerDay, $steps, count($years), $shown->holds($today) ? $shown->from->daysUntil($today) * $mmPerDay : null, self::inWords($steps, $step, count($years)));
    }

    /** How high a bar for so many plants stands where the highest of all is `$full` mm; never too low to be seen. */
    public static function height(int $plants, int $peak, float $full): float
    {
        return $plants === 0 ? 0.0 : max($full / 10, $full * $plants / max(1, $peak));
    }

    /** The most plants open at once. */
    public function peak(): int
    {
        return max([0, ...array_column($this->steps, 'open')]);
    }

    private static function has(PlantYear $year, Day $from, Day $to, bool $best): bool
    {
        foreach ($year->tasks as $due) {
            $window = $due->task->window;
            [$opens, $closes] = $best ? [$window->bestFrom, $window->bestTo] : [$window->opens, $window->closes];
            if ($due->urgency !== Urgency::Done && ! $closes->isBefore($from) && ! $opens->isAfter($to)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<PlantYear>  $years
     * @param  callable(PlantYear): bool  $holds
     */
    private static function count(array $years, callable $holds): int
    {
        return count(array_filter($years, $holds));
    }

    /** @param  list<array{x: float, width: float, open: int, best: int, from: Day}>  $steps */
    private static function inWords(array $steps, int $step, int $plants): string
    {
        $busiest = null;
        foreach ($steps as $each) {
            $busiest = $busiest === null || $each['best'] > $busiest['best'] ? $each : $busiest;
        }

        return $busiest === null || $busiest['best'] === 0
            ? sprintf('%d plants, none at its best in these days', $plants)
            : sprintf('%d plants; most at their best %s %s: %d, and %d open', $plants, $step === 1 ? 'on' : 'in the week of', $busiest['from']->inWords(), $busiest['best'], $busiest['open']);
    }
}
