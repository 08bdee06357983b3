<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/** Visits on crew days, what is left out, what it costs, and below what no plan can come. */
final readonly class Plan
{
    /**
     * @param  list<Visit>  $visits  by day, crew and the order of the round
     * @param  list<LeftOut>  $leftOut
     * @param  list<string>  $placeless  refs of gardens planned with the usual travel
     */
    public function __construct(
        public array $visits,
        public array $leftOut,
        public Cost $cost,
        public float $lowerBound,
        public int $iterations,
        public array $placeless,
    ) {
    }

    /** The share of its cost that a perfect plan could at the very most save. */
    public function gap(): float
    {
        $total = $this->cost->total();

        return $total > 0 ? max(0.0, 1 - $this->lowerBound / $total) : 0.0;
    }
}
