<?php

declare(strict_types=1);

namespace App\Ground\Bridge;

use PruningHook\Core\Calendar\Day;

/** Whoever keeps how much rain came after what was cut, so that it is in the record before that is read. */
interface ReadsRain
{
    public function readIfDue(Day $today): void;
}
