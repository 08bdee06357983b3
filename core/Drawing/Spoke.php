<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** One stem of a bowl as seen from above, in mm, east to the right and north up. */
final readonly class Spoke
{
    public function __construct(
        public string $ref,
        /** `keep`, `next` (goes next year), `cut` (goes now) or `gone` */
        public string $kind,
        /** from its base to its tip */
        public Line $line,
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
     */
    public function label(float $reach): Spot
    {
        $far = max(1.0, hypot($this->line->x2, $this->line->y2));
        $beyond = 1 + 0.09 * $reach / $far;

        return new Spot($this->line->x2 * $beyond, $this->line->y2 * $beyond);
    }

    /** Where the number of its cut stands: on it, nearer to the tip, where spokes are apart. */
    public function seal(): Spot
    {
        return $this->line->at(0.62);
    }
}
