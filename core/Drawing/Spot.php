<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** A place in a picture, in mm. */
final readonly class Spot
{
    public function __construct(
        public float $x,
        public float $y,
    ) {
    }
}
