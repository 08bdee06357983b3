<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

use PruningHook\Core\Units\Length;

/**
 * A new measure held against what the plant is by its record: one that cannot follow from it is asked about, since
 * either the record lacks a line or somebody has counted the plant next to it.
 */
final readonly class Recount
{
    /**
     * @param  Plant  $by  as it is today by what was measured before, its record and its growth
     * @return array<string, string> what is asked, by the measure: `stems_old`, `stems_young`, `height_mm`
     */
    public static function questions(
        Plant $by,
        Growing $growing,
        Keeping $keeping,
        ?int $old,
        ?int $young,
        ?int $heightMm,
    ): array {
        return array_filter([
            'stems_old' => self::old($by, $old),
            'stems_young' => self::young($by, $growing, $keeping, $young),
            'height_mm' => self::height($by, $growing, $keeping, $heightMm),
        ], is_string(...));
    }

    private static function old(Plant $by, ?int $old): ?string
    {
        return $by->stems === null || $old === null || $old <= $by->stems->all() ? null : sprintf(
            '%d old stems? By the record %d old and %d young stand: so many cannot be old yet', $old, $by->stems->old,
            $by->stems->young,
        );
    }

    private static function young(Plant $by, Growing $growing, Keeping $keeping, ?int $young): ?string
    {
        if ($by->stems === null || $young === null) {
            return null;
        }

        return $young <= $by->stems->young + $keeping->doubtSeasons * $growing->basalShoots ? null : sprintf(
            '%d young stems? By the record %d stand, and it makes about %d a year', $young, $by->stems->young,
            $growing->basalShoots,
        );
    }

    private static function height(Plant $by, Growing $growing, Keeping $keeping, ?int $mm): ?string
    {
        if ($by->heightMm === null || $mm === null) {
            return null;
        }
        $tall = Length::ofMm($by->heightMm)->metric();
        if ($mm > $by->heightMm + $keeping->doubtSeasons * $growing->extensionMm) {
            return sprintf(
                '%s? By the record it is about %s and grows %s a year', Length::ofMm($mm)->metric(), $tall,
                Length::ofMm($growing->extensionMm)->metric(),
            );
        }

        return 100 * $mm >= $keeping->doubtShorterPercent * $by->heightMm ? null : sprintf(
            '%s? By the record it is about %s: was it cut and the cut not logged', Length::ofMm($mm)->metric(), $tall,
        );
    }
}
