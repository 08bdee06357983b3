<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** A piece of a ring between two angles (degrees, clockwise from the top) and two radii (mm). */
final readonly class Sector
{
    /** @param  string  $kind `open`, `best`, `closed`, `cost`, `bloom` or `done` */
    public function __construct(
        public string $kind,
        public float $from,
        public float $to,
        public float $inner,
        public float $outer,
        public string $says,
    ) {
    }

    /** The outline as SVG path data, with the ring's middle at 0,0 and y downwards. */
    public function outline(): string
    {
        $large = $this->to - $this->from > 180 ? 1 : 0;
        $a = self::point($this->from, $this->outer);
        $b = self::point($this->to, $this->outer);
        $c = self::point($this->to, $this->inner);
        $d = self::point($this->from, $this->inner);

        return sprintf(
            'M%.2f %.2fA%.2f %.2f 0 %d 1 %.2f %.2fL%.2f %.2fA%.2f %.2f 0 %d 0 %.2f %.2fZ',
            $a->x, $a->y, $this->outer, $this->outer, $large, $b->x, $b->y,
            $c->x, $c->y, $this->inner, $this->inner, $large, $d->x, $d->y,
        );
    }

    public static function point(float $degrees, float $radius): Spot
    {
        $angle = deg2rad($degrees);

        return new Spot(sin($angle) * $radius, -cos($angle) * $radius);
    }
}
