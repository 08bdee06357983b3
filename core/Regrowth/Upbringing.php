<?php

declare(strict_types=1);

namespace PruningHook\Core\Regrowth;

use PruningHook\Core\Growth\GrowthKind;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Growth\Raising;

/** A plant as it stands after years in good hands: raised, and cut as it is cut now from its third season on. */
final readonly class Upbringing
{
    /** Seasons that it grows as it will, before anybody cuts it. Common practice. */
    private const FREE = 2;

    /**
     * @param  int  $seasons  it has stood
     * @param  int  $last  the season it has grown last
     * @param  array<int, bool>  $cutIn  whether it was done, in the seasons of which somebody knows
     */
    public static function of(
        GrowthKind $kind,
        int $seasons,
        int $last,
        string $seed,
        YearlyCut $cut,
        array $cutIn = [],
    ): LivingPlant {
        $free = $cut->task === null ? $seasons : min($seasons, self::FREE);
        $plant = Raising::of($kind, $free, $last - $seasons + $free, $seed);
        for ($season = $free; $season < $seasons; $season++) {
            $wasCut = $cutIn[$plant->season + 1] ?? true;
            $plant = Future::seasonOn($plant, $wasCut ? $cut->task : null, $cut->time);
        }

        return $plant;
    }
}
