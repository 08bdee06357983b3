<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** Places of a neighbourhood laid flat into a square, north up: as large as they fit between its margins. */
final readonly class FlatMap
{
    private const KM_A_DEGREE = 111.19;

    /**
     * @param  float  $across  degrees of latitude between the margins
     * @param  float  $narrow  a degree of longitude is the shorter the further from the equator
     * @param  array{float, float}  $middle  latitude and longitude
     */
    private function __construct(
        private float $size,
        private float $margin,
        private float $across,
        private float $narrow,
        private array $middle,
    ) {
    }

    /**
     * @param  non-empty-list<array{float, float}>  $places  latitude and longitude
     * @param  float  $least  degrees across, where all lie on one spot
     */
    public static function of(array $places, float $size, float $margin, float $least = 1e-6): self
    {
        [$latitudes, $longitudes] = [array_column($places, 0), array_column($places, 1)];
        $narrow = cos(deg2rad(array_sum($latitudes) / count($latitudes)));

        return new self(
            $size, $margin,
            max($least, max($latitudes) - min($latitudes), (max($longitudes) - min($longitudes)) * $narrow), $narrow,
            [(max($latitudes) + min($latitudes)) / 2, (max($longitudes) + min($longitudes)) / 2],
        );
    }

    public function spot(float $latitude, float $longitude): Spot
    {
        $scale = ($this->size - 2 * $this->margin) / $this->across;

        return new Spot(
            round($this->size / 2 + ($longitude - $this->middle[1]) * $this->narrow * $scale, 1),
            round($this->size / 2 - ($latitude - $this->middle[0]) * $scale, 1),
        );
    }

    /** What the whole width stands for, in km. */
    public function kmAcross(): float
    {
        return round($this->across * $this->size / ($this->size - 2 * $this->margin) * self::KM_A_DEGREE, 1);
    }
}
