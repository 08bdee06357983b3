<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Calendar\Day;

/** Something the crew saw: `forsythia-bloom`, `lilac-bloom`, `apple-bud-break` or `last-frost`, and the day. */
final readonly class Observation
{
    public function __construct(
        public string $event,
        public Day $on,
    ) {
    }
}
