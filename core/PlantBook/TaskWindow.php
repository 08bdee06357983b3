<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Calendar\WindowRule;

/** A window rule with the reason it is so and where that is said. */
final readonly class TaskWindow
{
    public function __construct(
        public WindowRule $rule,
        public string $because,
        public string $source,
    ) {
    }
}
