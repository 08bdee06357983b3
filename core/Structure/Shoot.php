<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** One of the shoots that break from a knuckle. */
final readonly class Shoot
{
    public function __construct(
        public string $ref,
        public float $azimuthDeg,
        public float $leanDeg,
        public int $baseMm,
    ) {
    }
}
