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
    ) {}

    /** @return ?self null where no day is open for all of them, or where there are none */
    public static function of(Window ...$windows): ?self
    {
        if ($windows === []) {
            return null;
        }
        $days = static fn (string $edge): array => array_values(array_map(static fn (Window $window): Day => $window->$edge, $windows));
        $from = Day::latest(...$days('opens'));
        $to = Day::earliest(...$days('closes'));
        if ($to->isBefore($from)) {
            return null;
        }
        $bestFrom = Day::latest(...$days('bestFrom'));
        $bestTo = Day::earliest(...$days('bestTo'));

        return $bestTo->isBefore($bestFrom) ? new self($from, $to, null, null) : new self($from, $to, $bestFrom, $bestTo);
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
