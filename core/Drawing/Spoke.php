<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** One stem of a bowl as seen from above, in mm, x to the east and y to the north. */
final readonly class Spoke
{
    /** Where on its way the number of its cut stands: nearer to the tip, where spokes are apart. */
    private const SEAL = 0.62;

    /**
     * @param  'keep'|'next'|'cut'|'gone'  $kind  what becomes of it; `next` goes next year, `cut` goes now
     * @param  non-empty-list<Spot>  $spine  its middle line, from its foot to its tip
     * @param  list<Limb>  $limbs  what it is drawn as, piece by piece; none for one that is gone
     * @param  'young'|'last'|'old'|'unknown'  $age  `last` is last year's
     * @param  ?int  $order  place in the order of the cuts
     */
    public function __construct(
        public string $ref,
        public string $kind,
        public array $spine,
        public array $limbs,
        public string $age,
        public ?int $order,
        public string $says,
    ) {
    }

    public function tip(): Spot
    {
        return $this->spine[count($this->spine) - 1];
    }

    /**
     * Where its name stands: beyond its tip, on the way it goes.
     *
     * @param  float  $reach  half the width of the picture, in mm
     */
    public function label(float $reach): Spot
    {
        $tip = $this->tip();
        $beyond = 1 + 0.09 * $reach / max(1.0, hypot($tip->x, $tip->y));

        return new Spot($tip->x * $beyond, $tip->y * $beyond);
    }

    /** Where the number of its cut stands. */
    public function seal(): Spot
    {
        $at = self::SEAL * (count($this->spine) - 1);
        $from = $this->spine[(int) floor($at)];
        $to = $this->spine[(int) ceil($at)];

        return new Spot(
            $from->x + ($to->x - $from->x) * ($at - floor($at)), $from->y + ($to->y - $from->y) * ($at - floor($at)),
        );
    }
}
