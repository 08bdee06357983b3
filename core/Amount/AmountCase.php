<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Kind;

/** What an amount is worked out for: one plant of a kind in one season, by one recipe, with what may still go of it. */
final readonly class AmountCase
{
    /** @param  string  $recipe  its key */
    public function __construct(
        public Plant $plant,
        public Kind $kind,
        public int $season,
        public string $recipe,
        public Budget $budget,
    ) {
    }

    /**
     * The most of so many stems that may go now: a third of 3 is 1, of 6 is 2, of 9 is 3. Stems of one plant are taken
     * to weigh alike; half a per cent is let pass, since a third is no whole number of per cent.
     */
    public function mayGo(int $stems): int
    {
        return (int) floor($stems * ($this->budget->leftPercent() + 0.5) / 100);
    }
}
