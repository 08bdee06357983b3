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
        $asked = [];
        if ($by->stems !== null && $old !== null && $old > $by->stems->all()) {
            $asked['stems_old'] = sprintf(
                '%d old stems? By the record %d old and %d young stand: so many cannot be old yet',
                $old,
                $by->stems->old,
                $by->stems->young,
            );
        }
        if (
            $by->stems !== null
            && $young !== null
            && $young > $by->stems->young + $keeping->doubtSeasons * $growing->basalShoots
        ) {
            $asked['stems_young'] = sprintf(
                '%d young stems? By the record %d stand, and it makes about %d a year',
                $young,
                $by->stems->young,
                $growing->basalShoots,
            );
        }
        if ($by->heightMm !== null && $heightMm !== null) {
            $tall = Length::ofMm($by->heightMm)->metric();
            if ($heightMm > $by->heightMm + $keeping->doubtSeasons * $growing->extensionMm) {
                $asked['height_mm'] = sprintf(
                    '%s? By the record it is about %s and grows %s a year',
                    Length::ofMm($heightMm)->metric(),
                    $tall,
                    Length::ofMm($growing->extensionMm)->metric(),
                );
            } elseif (100 * $heightMm < $keeping->doubtShorterPercent * $by->heightMm) {
                $asked['height_mm'] = sprintf(
                    '%s? By the record it is about %s: was it cut and the cut not logged',
                    Length::ofMm($heightMm)->metric(),
                    $tall,
                );
            }
        }

        return $asked;
    }
}
