<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

/**
 * Where an axis sets out and how it goes: an even bend in an upright plane. A point of it is given by its distance from
 * where it sets out. mm; x east, y north, z up.
 */
final readonly class Place
{
    private float $sin;

    private float $cos;

    /** in radians, where it sets out */
    private float $lean;

    private float $leanSin;

    private float $leanCos;

    /** in radians a mm */
    private float $bend;

    /** so many mm from where it sets out it stands upright or hangs straight down, and bends no more */
    private float $straightFrom;

    /** @param  float  $bendDeg  a metre */
    public function __construct(
        public float $x,
        public float $y,
        public float $z,
        float $azimuthDeg,
        float $leanDeg,
        float $bendDeg,
        private float $internodeMm,
    ) {
        $azimuth = deg2rad($azimuthDeg);
        $this->sin = sin($azimuth);
        $this->cos = cos($azimuth);
        $this->lean = deg2rad($leanDeg);
        $this->leanSin = sin($this->lean);
        $this->leanCos = cos($this->lean);
        $this->bend = deg2rad($bendDeg) / 1000;
        $this->straightFrom = abs($this->bend) < 1e-9
            ? INF
            : (($this->bend > 0 ? M_PI : 0.0) - $this->lean) / $this->bend;
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
        if ($this->straightFrom === INF) {
            $out = $mm * $this->leanSin;

            return [$this->x + $out * $this->sin, $this->y + $out * $this->cos, $this->z + $mm * $this->leanCos];
        }
        $bent = $mm < $this->straightFrom ? $mm : $this->straightFrom;
        $angle = $this->lean + $this->bend * $bent;
        [$sin, $cos] = [sin($angle), cos($angle)];
        $out = ($this->leanCos - $cos) / $this->bend;
        $up = ($sin - $this->leanSin) / $this->bend;
        if ($mm > $bent) {
            $out += ($mm - $bent) * $sin;
            $up += ($mm - $bent) * $cos;
        }

        return [$this->x + $out * $this->sin, $this->y + $out * $this->cos, $this->z + $up];
    }

    private function angle(float $mm): float
    {
        return max(0.0, min(M_PI, $this->lean + $this->bend * $mm));
    }
}
