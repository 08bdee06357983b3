<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/** What a day is to a plant, from the best of days to one on which it is left alone. */
enum DayState: string
{
    case Best = 'best';
    case Open = 'open';
    case AtACost = 'at-a-cost';
    case Closed = 'closed';

    /** 0 for the best of days, more the worse it is. */
    public function severity(): int
    {
        return match ($this) {
            self::Best => 0,
            self::Open => 1,
            self::AtACost => 2,
            self::Closed => 3,
        };
    }

    /** The worse of two. */
    public function orWorse(self $other): self
    {
        return $other->severity() > $this->severity() ? $other : $this;
    }

    public function inWords(): string
    {
        return match ($this) {
            self::Best => 'a best day',
            self::Open => 'open',
            self::AtACost => 'possible at a cost',
            self::Closed => 'closed',
        };
    }
}
