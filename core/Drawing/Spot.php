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

    /** So far from the middle of a picture, in degrees clockwise from its top; y down. */
    public static function onRim(float $degrees, float $mm): self
    {
        return new self(round(sin(deg2rad($degrees)) * $mm, 2), round(-cos(deg2rad($degrees)) * $mm, 2));
    }
}
