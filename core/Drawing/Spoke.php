<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** One stem of a bowl as seen from above: from its base to its tip, in mm, east to the right and north up. */
final readonly class Spoke
{
    public function __construct(
        public string $ref,
        /** `keep`, `next` (goes next year), `cut` (goes now) or `gone` */
        public string $kind,
        public float $x1,
        public float $y1,
        public float $x2,
        public float $y2,
        public float $width,
        /** `young`, `last` (last year's), `old` or `unknown` */
        public string $age,
        /** place in the order of the cuts */
        public ?int $order,
        public string $says,
    ) {
    }

    /**
     * Where its name stands: beyond its tip, on the way it goes.
     *
     * @param  float  $reach  half the width of the picture, in mm
     * @return array{x: float, y: float}
     */
    public function label(float $reach): array
    {
        $far = max(1.0, hypot($this->x2, $this->y2));
        $beyond = 1 + 0.09 * $reach / $far;

        return ['x' => $this->x2 * $beyond, 'y' => $this->y2 * $beyond];
    }

    /**
     * Where the number of its cut stands: on it, nearer to the tip, where spokes are apart.
     *
     * @return array{x: float, y: float}
     */
    public function seal(): array
    {
        return ['x' => $this->x1 + ($this->x2 - $this->x1) * 0.62, 'y' => $this->y1 + ($this->y2 - $this->y1) * 0.62];
    }
}
