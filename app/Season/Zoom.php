<?php

declare(strict_types=1);

namespace App\Season;

/** How much of time the wall shows. */
enum Zoom: string
{
    case Year = 'year';
    case Quarter = 'quarter';
    case Month = 'month';

    public function days(): int
    {
        return match ($this) {
            self::Year => 365,
            self::Quarter => 91,
            self::Month => 35,
        };
    }
}
