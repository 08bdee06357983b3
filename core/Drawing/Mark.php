<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** Something said at a place along a measure or a strip, in mm from where that begins. */
final readonly class Mark
{
    public function __construct(
        public float $at,
        public string $says,
    ) {
    }
}
