<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;

/** Works out how much, for one plant of a kind. */
interface AmountRule
{
    /**
     * The rule as the plant book gives it.
     *
     * @param  string  $source  whom its figures and its formula are from
     *
     * @throws Fault where a figure is missing or cannot be
     */
    public static function fromEntry(Entry $entry, string $source): self;

    public function for(AmountCase $case): Amounts;
}
