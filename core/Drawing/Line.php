<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** A straight line of a picture, in mm, from where it begins on the plant to its end. */
final readonly class Line
{
    public function __construct(
        public float $x1,
        public float $y1,
        public float $x2,
        public float $y2,
    ) {
    }

    public function length(): float
    {
        return hypot($this->x2 - $this->x1, $this->y2 - $this->y1);
    }

    /** The place at a share of its length, 0 at its beginning. */
    public function at(float $share): Spot
    {
        return new Spot($this->x1 + ($this->x2 - $this->x1) * $share, $this->y1 + ($this->y2 - $this->y1) * $share);
    }
}
