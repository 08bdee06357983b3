<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** A place in a plant, in mm from the middle of its crown at the ground: east, north, up. */
final readonly class Point
{
    private function __construct(
        public float $x,
        public float $y,
        public float $z,
    ) {
    }

    public static function at(float $x, float $y, float $z): self
    {
        return new self($x, $y, $z);
    }

    /** The place a share of the way from here to there: 0 is here, 1 is there. */
    public function towards(self $there, float $share): self
    {
        return new self(
            $this->x + $share * ($there->x - $this->x), $this->y + $share * ($there->y - $this->y),
            $this->z + $share * ($there->z - $this->z),
        );
    }

    public function distanceTo(self $other): float
    {
        return sqrt(($other->x - $this->x) ** 2 + ($other->y - $this->y) ** 2 + ($other->z - $this->z) ** 2);
    }
}
