<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

/**
 * Where an axis sets out and how it goes: an even bend in an upright plane. A point of it is given by its distance from
 * where it sets out. mm; x east, y north, z up.
 */
final readonly class Place
{
    /**
     * @param  float  $lean  in radians, where it sets out
     * @param  float  $bend  in radians a mm
     */
    private function __construct(
        public float $x,
        public float $y,
        public float $z,
        private float $sin,
        private float $cos,
        private float $lean,
        private float $bend,
        private float $internodeMm,
    ) {
    }

    /** @param  float  $bendDeg  a metre */
    public static function of(
        float $x,
        float $y,
        float $z,
        float $azimuthDeg,
        float $leanDeg,
        float $bendDeg,
        float $internodeMm,
    ): self {
        return new self(
            $x, $y, $z, sin(deg2rad($azimuthDeg)), cos(deg2rad($azimuthDeg)), deg2rad($leanDeg),
            deg2rad($bendDeg) / 1000, $internodeMm,
        );
    }

    /** @return array{float, float, float} of a node, counted from 0; between nodes where it is no whole number */
    public function node(float $node): array
    {
        return $this->at(($node + 1) * $this->internodeMm);
    }

    /** Its lean at a node, in degrees. */
    public function leanOf(float $node): float
    {
        return $this->leanAt(($node + 1) * $this->internodeMm);
    }

    /** Its lean some way along, in degrees: never past hanging, nor bent back through the upright. */
    public function leanAt(float $mm): float
    {
        return rad2deg($this->angle($mm));
    }

    /** @return array{float, float, float} */
    public function at(float $mm): array
    {
        if (abs($this->bend) < 1e-9) {
            $out = $mm * sin($this->lean);

            return [$this->x + $out * $this->sin, $this->y + $out * $this->cos, $this->z + $mm * cos($this->lean)];
        }
        // Beyond the upright or hanging straight down it bends no more.
        $bent = min($mm, (($this->bend > 0 ? M_PI : 0.0) - $this->lean) / $this->bend);
        $angle = $this->lean + $this->bend * $bent;
        $out = (cos($this->lean) - cos($angle)) / $this->bend;
        $up = (sin($angle) - sin($this->lean)) / $this->bend;
        $straight = $mm - $bent;
        $out += $straight * sin($angle);
        $up += $straight * cos($angle);

        return [$this->x + $out * $this->sin, $this->y + $out * $this->cos, $this->z + $up];
    }

    private function angle(float $mm): float
    {
        return max(0.0, min(M_PI, $this->lean + $this->bend * $mm));
    }
}
