<?php

declare(strict_types=1);

namespace App\Season;

/**
 * A stretch of days in steps of equal length, in which stretches are counted by their edges: one more from the step in
 * which it begins, one less after the step in which it ends.
 */
final readonly class TimeSteps
{
    private int $count;

    /** The last day of the last step. */
    public int $to;

    /**
     * @param  int  $from  the first day of the first step, as days since 1970-01-01
     * @param  int  $to  a day of the last step
     * @param  int  $days  of one step
     */
    public function __construct(public int $from, int $to, private int $days)
    {
        $this->count = intdiv($to - $from, $days) + 1;
        $this->to = $from + $this->count * $days - 1;
    }

    /**
     * Counts so many stretches from day to day; those that lie outside count for nothing.
     *
     * @param  ?array<int, int>  $changes  by step, written to
     *
     * @param-out array<int, int> $changes
     */
    public function add(?array &$changes, int $from, int $to, int $many): void
    {
        $changes ??= [];
        if ($to < $this->from || $from > $this->to) {
            return;
        }
        $first = intdiv(max($from, $this->from) - $this->from, $this->days);
        $after = intdiv($to - $this->from, $this->days) + 1;
        $changes[$first] = ($changes[$first] ?? 0) + $many;
        $changes[$after] = ($changes[$after] ?? 0) - $many;
    }

    /**
     * @param  array<int, int>  $changes
     * @return array<int, int> how many stand in each step, by its first day
     */
    public function standing(array $changes): array
    {
        $standing = [];
        $now = 0;
        for ($step = 0; $step < $this->count; $step++) {
            $now += $changes[$step] ?? 0;
            $standing[$this->from + $step * $this->days] = $now;
        }

        return $standing;
    }
}
