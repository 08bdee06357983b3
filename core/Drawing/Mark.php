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

    /** Its place along so many mm, in half per cents from 0 to 200: styles know no finer places. */
    public function step(float $along): int
    {
        return (int) max(0, min(200, round($this->at / max(0.001, $along) * 200)));
    }
}
