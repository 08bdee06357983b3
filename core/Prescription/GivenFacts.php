<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Plant\State;

/** What somebody says of a plant that may contradict its kind; lengths in mm. */
final readonly class GivenFacts
{
    public function __construct(
        public State $state = new State,
        public ?Day $planted = null,
        public ?string $aim = null,
        public ?int $floweringHeightMm = null,
        public ?bool $grafted = null,
    ) {
    }
}
