<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Calendar\Day;

/** A week or a day of a group's pressure: where it lies along the line, in mm, and how many tasks are open in it. */
final readonly class PressureStep
{
    /** @param  Day  $from  the step's first day, which may lie before the stretch that is shown */
    public function __construct(
        public float $x,
        public float $width,
        public int $open,
        public int $best,
        public Day $from,
    ) {
    }
}
