<?php

declare(strict_types=1);

namespace PruningHook\Core\Units;

/**
 * Questions a length that a plant of its kind can hardly have, and says what was probably meant: a wrong unit, mostly.
 */
final readonly class Doubt
{
    /** A plant smaller than this part of its usual height, or taller than so many times it, is questioned. */
    private const SMALLEST = 25;

    private const TALLEST = 6;

    private const UNITS = ['mm' => 1.0, 'cm' => 10.0, 'in' => 25.4, 'ft' => 304.8, 'm' => 1000.0];

    /**
     * @param  float  $number  as it was given
     * @param  string  $unit  it was taken to be in: `mm`, `cm`, `in`, `ft` or `m`
     * @param  int  $usualMm  what such a plant usually measures
     * @return ?string null where nothing is odd
     */
    public static function of(float $number, string $unit, int $usualMm): ?string
    {
        $mm = $number * self::UNITS[$unit];
        if ($mm >= $usualMm / self::SMALLEST && $mm <= $usualMm * self::TALLEST) {
            return null;
        }
        $best = null;
        $apart = INF;
        foreach (self::UNITS as $other => $size) {
            $off = abs(log(max($number, 1e-6) * $size / $usualMm));
            if ($other !== $unit && $off < $apart && $off < log(3)) {
                [$best, $apart] = [$other, $off];
            }
        }
        $said = self::short($number).' '.$unit;

        return $best === null
            ? sprintf('%s? Such a plant usually measures about %s', $said, Length::ofMm($usualMm)->metric())
            : sprintf(
                '%s? Such a plant usually measures about %s: did you mean %s %s', $said,
                Length::ofMm($usualMm)->metric(), self::short($number), $best,
            );
    }

    private static function short(float $number): string
    {
        return rtrim(rtrim(number_format($number, 1, '.', ''), '0'), '.');
    }
}
