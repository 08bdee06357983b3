<?php

declare(strict_types=1);

namespace App\Season;

use App\Season\Due\Basis;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Planning\DueTask;

/** How much of time the wall shows. */
enum Zoom: string
{
    case Year = 'year';
    case Quarter = 'quarter';
    case Month = 'month';
    /** This week and the next, Monday first. */
    case Week = 'week';

    /** The stretch shown, and what bears on today besides. */
    public function around(Day $today): Span
    {
        $shown = $this->span($today);

        return Span::of(
            Day::earliest($shown->from, $today->minus(DueTask::MISSED_DAYS)),
            Day::latest($shown->to, $today->plus(DueTask::COMING_DAYS)),
        );
    }

    /** The stretch shown on a day: the year from the first of last month, or from last week on. */
    public function span(Day $today): Span
    {
        return match ($this) {
            self::Year => Basis::year($today),
            self::Quarter => Span::of($today->minus(7), $today->plus(83)),
            self::Month => Span::of($today->minus(7), $today->plus(27)),
            self::Week => Span::of($today->minus($today->weekday() - 1), $today->minus($today->weekday() - 14)),
        };
    }
}
