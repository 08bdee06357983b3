<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** The part of a stem that moves in the wind, now and next season, with the box that holds both. Lengths in mm. */
final readonly class MovingPart
{
    /** Half its greatest thickness, next season. */
    public float $halfMm;

    private float $dx;

    private float $dy;

    private float $dz;

    private float $left;

    private float $right;

    private float $front;

    private float $back;

    private float $low;

    private float $high;

    /**
     * @param  float  $still  share of the grown stem that does not move
     * @param  float  $times  how many times as long it is next season
     * @param  int  $closeMm  air that counts as close, of which the box holds half
     */
    public function __construct(
        public Stem $stem,
        public Segment $now,
        private Stem $grown,
        public Segment $then,
        private float $still,
        public float $times,
        int $closeMm,
    ) {
        $this->halfMm = $grown->thicknessAt($still) / 2;
        [$from, $to, $end] = [$now->from, $then->to, $now->to];
        [$this->dx, $this->dy, $this->dz] = [$end->x - $from->x, $end->y - $from->y, $end->z - $from->z];
        $around = $this->halfMm + $closeMm / 2;
        [$this->left, $this->right] = [min($from->x, $to->x) - $around, max($from->x, $to->x) + $around];
        [$this->front, $this->back] = [min($from->y, $to->y) - $around, max($from->y, $to->y) + $around];
        [$this->low, $this->high] = [min($from->z, $to->z) - $around, max($from->z, $to->z) + $around];
    }

    public function thicknessNow(float $share): float
    {
        return $this->stem->thicknessAt(Clearance::STILL + (1 - Clearance::STILL) * $share);
    }

    public function thicknessThen(float $share): float
    {
        return $this->grown->thicknessAt($this->still + (1 - $this->still) * $share);
    }

    /** Told without taking a distance: most pairs of a plant. */
    public function isFarFrom(self $other): bool
    {
        if ($this->left > $other->right || $other->left > $this->right || $this->front > $other->back
            || $other->front > $this->back || $this->low > $other->high || $other->low > $this->high) {
            return true;
        }
        [$from, $its] = [$this->now->from, $other->now->from];
        [$rx, $ry, $rz] = [$from->x - $its->x, $from->y - $its->y, $from->z - $its->z];

        // Both lead away from each other and are apart where they begin.
        return $rx * $this->dx + $ry * $this->dy + $rz * $this->dz >= 0.0
            && $rx * $other->dx + $ry * $other->dy + $rz * $other->dz <= 0.0
            && $rx * $rx + $ry * $ry + $rz * $rz > ($this->halfMm + $other->halfMm) ** 2;
    }
}
