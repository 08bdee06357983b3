<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** The mark of a cut: where it is, and its slant in degrees, 0 straight across. */
final readonly class Tick
{
    public function __construct(
        public Spot $at,
        public float $angle,
    ) {
    }
}
