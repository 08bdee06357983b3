<?php

declare(strict_types=1);

namespace Tests\Support;

use PruningHook\Core\Fault;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemPlan;

/** An aim by the plant book's figures for stems, as it names them today. */
final class TestAim
{
    /** @throws Fault when the numbers contradict each other */
    public static function of(
        StemPlan $plan,
        ?int $keepMin,
        ?int $keep,
        ?int $keepMax,
        int $budgetPercent,
        string $source,
        bool $grafted = false,
    ): StemAim {
        return new StemAim($plan, $keepMin, $keep, $keepMax, $budgetPercent, $source, $grafted, 2, 7, '', 8, 60);
    }
}
