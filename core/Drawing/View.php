<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** Where a plant is looked at from. */
enum View: string
{
    case South = 'south';
    case East = 'east';
    case Above = 'above';

    /**
     * @param  array{float, float, float}  $point  x to the east, y to the north, z up, in mm
     * @return array{float, float, float} to the right, up, and away from who looks
     */
    public function project(array $point): array
    {
        [$x, $y, $z] = $point;

        return match ($this) {
            self::South => [$x, $z, $y],
            self::East => [$y, $z, -$x],
            self::Above => [$x, $y, -$z],
        };
    }

    public function inWords(): string
    {
        return match ($this) {
            self::South => 'from the south',
            self::East => 'from the east',
            self::Above => 'from above, north up',
        };
    }
}
