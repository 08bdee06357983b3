<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/** What happens when a task is done too early or too late: a cost that can be borne, or a cut that must not be made. */
final readonly class OutsideWindow
{
    public function __construct(
        public bool $closed,
        public string $because,
        public string $source,
    ) {
    }
}
