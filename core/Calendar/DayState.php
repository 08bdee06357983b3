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

    /** The worse of two. */
    public function orWorse(self $other): self
    {
        $order = [self::Best, self::Open, self::AtACost, self::Closed];

        return array_search($other, $order, true) > array_search($this, $order, true) ? $other : $this;
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
