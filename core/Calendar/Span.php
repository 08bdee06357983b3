<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use PruningHook\Core\Fault;

/** A stretch of days, first and last included. */
final readonly class Span
{
    private function __construct(
        public Day $from,
        public Day $to,
    ) {
    }

    /** @throws Fault when it ends before it begins */
    public static function of(Day $from, Day $to): self
    {
        return $to->isBefore($from) ? throw new Fault("$to comes before $from") : new self($from, $to);
    }

    public function days(): int
    {
        return $this->from->daysUntil($this->to) + 1;
    }

    public function holds(Day $day): bool
    {
        return ! $day->isBefore($this->from) && ! $day->isAfter($this->to);
    }

    public function touches(Day $from, Day $to): bool
    {
        return ! $to->isBefore($this->from) && ! $from->isAfter($this->to);
    }

    /** The part of another stretch that lies in this one. */
    public function clip(Day $from, Day $to): ?self
    {
        return $this->touches($from, $to)
            ? new self(Day::latest($from, $this->from), Day::earliest($to, $this->to))
            : null;
    }
}
