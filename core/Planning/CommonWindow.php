<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Window;

/** The days several tasks share, so that one visit can do them all; and the days best for all of them, if any. */
final readonly class CommonWindow
{
    private function __construct(
        public Day $from,
        public Day $to,
        public ?Day $bestFrom,
        public ?Day $bestTo,
    ) {
    }

    /** @return ?self null where no day is open for all of them, or where there are none */
    public static function of(Window ...$windows): ?self
    {
        $first = array_shift($windows);
        if ($first === null) {
            return null;
        }
        [$from, $to, $bestFrom, $bestTo] = [$first->opens, $first->closes, $first->bestFrom, $first->bestTo];
        foreach ($windows as $window) {
            $from = Day::latest($from, $window->opens);
            $to = Day::earliest($to, $window->closes);
            $bestFrom = Day::latest($bestFrom, $window->bestFrom);
            $bestTo = Day::earliest($bestTo, $window->bestTo);
        }
        if ($to->isBefore($from)) {
            return null;
        }

        return $bestTo->isBefore($bestFrom)
            ? new self($from, $to, null, null)
            : new self($from, $to, $bestFrom, $bestTo);
    }

    public function contains(Day $day): bool
    {
        return ! $day->isBefore($this->from) && ! $day->isAfter($this->to);
    }

    public function isBestOn(Day $day): bool
    {
        return $this->bestFrom !== null && $this->bestTo !== null
            && ! $day->isBefore($this->bestFrom) && ! $day->isAfter($this->bestTo);
    }
}
