<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

use PruningHook\Core\Fault;

/**
 * One stem as it leaves the ground or the graft: which way it goes (azimuth, degrees clockwise from north), how far it
 * leans from the upright (degrees), its length and the thickness at its base (mm), its age, and what is wrong with it.
 */
final readonly class Stem
{
    /** Stems taper to this share of their base at the tip. Common practice. */
    private const TIP = 0.25;

    /** from 0 to 360 */
    public float $azimuthDeg;

    /**
     * @param  ?int  $ageYears  1 for this year's, 2 for last year's; null where nobody can tell
     * @param  list<StemFault>  $faults
     * @param  list<Shoot>  $shoots  at its knuckle, where its top was lopped
     * @param  ?float  $fromAzimuthDeg  the side of the crown it leaves from, where that is not the side it goes to
     *
     * @throws Fault when a measure cannot be, with what was probably meant
     */
    public function __construct(
        public string $ref,
        float $azimuthDeg,
        public float $leanDeg,
        public int $lengthMm,
        public int $baseMm,
        public ?int $ageYears = null,
        public array $faults = [],
        public array $shoots = [],
        private ?float $fromAzimuthDeg = null,
    ) {
        if ($leanDeg < 0 || $leanDeg > 90) {
            throw new Fault(sprintf('a stem leans between 0 degrees (upright) and 90 (flat), not %s', $leanDeg));
        }
        if ($lengthMm < 1 || $baseMm < 1) {
            throw new Fault('a stem has a length and a thickness above nothing');
        }
        if ($lengthMm < 2 * $baseMm) {
            throw new Fault(
                sprintf(
                    '%d mm long and %d mm thick at the base is no stem%s', $lengthMm, $baseMm,
                    $lengthMm * 10 >= 20 * $baseMm / 10
                        ? sprintf(': did you mean %d cm long?', $lengthMm)
                        : ': are length and thickness mixed up?',
                ),
            );
        }
        if ($ageYears !== null && ($ageYears < 0 || $ageYears > 300)) {
            throw new Fault(sprintf('a stem is not %d years old', $ageYears));
        }
        $this->azimuthDeg = fmod(fmod($azimuthDeg, 360) + 360, 360);
    }

    /** The same some years older, or younger: never younger than this year's. */
    public function aged(int $years): self
    {
        return new self(
            $this->ref, $this->azimuthDeg, $this->leanDeg, $this->lengthMm, $this->baseMm,
            $this->ageYears === null ? null : max(1, $this->ageYears + $years), $this->faults, $this->shoots,
            $this->fromAzimuthDeg,
        );
    }

    public function has(StemFault $fault): bool
    {
        // Most stems have none, and this is asked very often.
        return $this->faults !== [] && in_array($fault, $this->faults, true);
    }

    /**
     * Its part in the plant's live wood: the square of its thickness, mm². By the pipe model the leaves a stem feeds go
     * with the cross-section of its wood (Shinozaki et al. 1964, from memory).
     */
    public function section(): float
    {
        return $this->has(StemFault::Dead) ? 0.0 : (float) $this->baseMm ** 2;
    }

    /** Thickness a share of the way up, in mm. */
    public function thicknessAt(float $share): float
    {
        return $this->baseMm * (1 - (1 - self::TIP) * $share);
    }

    /**
     * The stem in space from a share of its length to its tip. It leaves the crown at the crown's rim, on the side it
     * goes to; one that grows inward leaves it on the far side and crosses the middle.
     */
    public function from(float $share, float $crownMm): Segment
    {
        $base = $this->base($crownMm);
        $tip = $this->above($base);

        return new Segment($base->towards($tip, $share), $tip);
    }

    public function tip(float $crownMm): Point
    {
        return $this->above($this->base($crownMm));
    }

    private function above(Point $base): Point
    {
        $way = deg2rad($this->azimuthDeg);
        $lean = deg2rad($this->leanDeg);
        $out = $this->lengthMm * sin($lean);

        return Point::at($base->x + $out * sin($way), $base->y + $out * cos($way), $this->lengthMm * cos($lean));
    }

    public function base(float $crownMm): Point
    {
        $from = $this->fromAzimuthDeg ?? ($this->has(StemFault::Inward) ? $this->azimuthDeg + 180 : $this->azimuthDeg);

        $side = deg2rad($from);

        return Point::at($crownMm * sin($side), $crownMm * cos($side), 0);
    }

    /** The same stem after a season's growth. Dead wood does not grow. */
    public function grown(int $extensionMm, float $thickening): self
    {
        return $this->has(StemFault::Dead)
            ? $this
            : new self(
                $this->ref, $this->azimuthDeg, $this->leanDeg, $this->lengthMm + $extensionMm,
                (int) round($this->baseMm * (1 + $thickening)), $this->ageYears === null ? null : $this->ageYears + 1,
                $this->faults, $this->shoots, $this->fromAzimuthDeg,
            );
    }

    /** The angle between the ways two stems go, 0 to 180 degrees. */
    public function apart(self $other): float
    {
        $angle = abs($this->azimuthDeg - $other->azimuthDeg);

        return min($angle, 360 - $angle);
    }
}
