<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** A straight piece of a stem in space, from its lower to its upper end, in mm. */
final readonly class Segment
{
    private const NOTHING = 1e-9;

    public function __construct(
        public Point $from,
        public Point $to,
    ) {
    }

    /** The same from the same lower end, so many times as long. */
    public function longer(float $times): self
    {
        return new self($this->from, $this->from->towards($this->to, $times));
    }

    /**
     * How near two pieces come: the distance, and the share of each (0 at its lower end, 1 at its upper) where it is
     * least. The closest points of two segments as in C. Ericson, Real-Time Collision Detection, 2005, 5.1.9 (from
     * memory).
     *
     * @return array{float, float, float} distance in mm, share of this one, share of the other
     */
    public function nearest(self $other): array
    {
        [$p, $q] = [$this->from, $other->from];
        [$ax, $ay, $az] = [$this->to->x - $p->x, $this->to->y - $p->y, $this->to->z - $p->z];
        [$bx, $by, $bz] = [$other->to->x - $q->x, $other->to->y - $q->y, $other->to->z - $q->z];
        [$rx, $ry, $rz] = [$p->x - $q->x, $p->y - $q->y, $p->z - $q->z];
        $ar = $ax * $rx + $ay * $ry + $az * $rz;
        $br = $bx * $rx + $by * $ry + $bz * $rz;
        // Where both lead away from each other from the start, nothing further up is nearer: most stems of a plant.
        if ($ar >= 0.0 && $br <= 0.0) {
            return [sqrt($rx * $rx + $ry * $ry + $rz * $rz), 0.0, 0.0];
        }
        $aa = $ax * $ax + $ay * $ay + $az * $az;
        $bb = $bx * $bx + $by * $by + $bz * $bz;
        if ($aa <= self::NOTHING && $bb <= self::NOTHING) {
            return [sqrt($rx * $rx + $ry * $ry + $rz * $rz), 0.0, 0.0];
        }
        if ($aa <= self::NOTHING) {
            [$s, $t] = [0.0, self::held($br / $bb)];
        } else {
            if ($bb <= self::NOTHING) {
                [$s, $t] = [self::held(-$ar / $aa), 0.0];
            } else {
                $ab = $ax * $bx + $ay * $by + $az * $bz;
                $denominator = $aa * $bb - $ab * $ab;
                $s =
                    $denominator > self::NOTHING * $aa * $bb ? self::held(($ab * $br - $ar * $bb) / $denominator) : 0.0;
                $t = ($ab * $s + $br) / $bb;
                if ($t < 0.0) {
                    [$s, $t] = [self::held(-$ar / $aa), 0.0];
                } elseif ($t > 1.0) {
                    [$s, $t] = [self::held(($ab - $ar) / $aa), 1.0];
                }
            }
        }
        $dx = $rx + $s * $ax - $t * $bx;
        $dy = $ry + $s * $ay - $t * $by;
        $dz = $rz + $s * $az - $t * $bz;

        return [sqrt($dx * $dx + $dy * $dy + $dz * $dz), $s, $t];
    }

    private static function held(float $share): float
    {
        return max(0.0, min(1.0, $share));
    }
}
