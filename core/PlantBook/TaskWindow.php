<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Calendar\WindowRule;

/** A window rule with the reason it is so and where that is said. */
final readonly class TaskWindow
{
    private function __construct(
        public WindowRule $rule,
        public string $because,
        public string $source,
    ) {
    }

    public static function of(WindowRule $rule, string $because, string $source): self
    {
        return new self($rule, $because, $source);
    }
}
