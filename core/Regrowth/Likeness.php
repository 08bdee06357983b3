<?php

declare(strict_types=1);

namespace PruningHook\Core\Regrowth;

use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Growth\FittedSurvey;
use PruningHook\Core\Growth\GrowthKind;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Kind;

/**
 * A plant of the record as a living plant: raised for as long as it has stood, cut in the seasons it was cut in, its
 * stems laid where they were surveyed or as many as were counted, as tall as it was measured; and what that rests on.
 *
 * @phpstan-import-type Seen from FittedSurvey
 */
final readonly class Likeness
{
    /** Seasons a plant is grown for of which nobody knows when it was planted, and at the most. */
    private const USUAL = 8;

    private const MOST = 14;

    private function __construct(public LivingPlant $living, public string $restsOn)
    {
    }

    /**
     * As it stands at the end of the winter before a season.
     *
     * @param  list<Seen>  $surveyed  its stems, where somebody surveyed them
     */
    public static function of(
        Plant $plant,
        Kind $kind,
        GrowthKind $grows,
        int $season,
        YearlyCut $cut,
        array $surveyed = [],
    ): self {
        $height = $plant->heightMm ?? $grows->usualMm($kind);
        $grows = $grows->fitting($height);
        $seasons = $plant->planted === null ? self::USUAL : $season - $plant->planted->year();
        $living = Upbringing::of(
            $grows, max(1, min(self::MOST, $seasons)), $season - 1, "plant $plant->ref",
            // One that is neglected or lopped was not cut as it should be.
            $plant->state->upkeep === null ? $cut : new YearlyCut(time: $cut->time), self::cutIn($plant, $season),
        );
        $living = $surveyed === [] ? self::counted($living, $plant) : FittedSurvey::of($living, $surveyed);

        // Where its stems were surveyed they say how tall it is, and where it is cut to a height each year its growth
        // does, unless somebody measured that as well.
        $isTold = $surveyed !== [] || $cut->task?->amount(Effect::CutHeight) !== null;
        $living = $plant->heightMm === null && $isTold ? $living : $living->scaledTo(max(100, $height));

        return new self(
            $plant->spreadMm === null ? $living : $living->spreadTo($plant->spreadMm),
            self::known($plant, $surveyed, $grows->habit->wireMm !== null),
        );
    }

    /**
     * Whether it was cut, by season, from the first season of its record on.
     *
     * @return array<int, bool>
     */
    private static function cutIn(Plant $plant, int $season): array
    {
        $cut = array_filter($plant->history, static fn (LoggedWork $work): bool => ! $work->isFollowUp());
        if ($cut === []) {
            return [];
        }
        $first = min(array_map(static fn (LoggedWork $work): int => $work->season, array_values($cut)));
        $did = array_fill_keys(range($first, max($first, $season - 1)), false);
        foreach ($cut as $work) {
            $did[$work->season] = ($did[$work->season] ?? false) || $work->outcome->isSomething();
        }

        return $did;
    }

    /** The oldest of what is too many go: those are the ones somebody took. */
    private static function counted(LivingPlant $living, Plant $plant): LivingPlant
    {
        $stems = array_keys($living->stems());
        $counted = $plant->stems?->all();

        return $counted === null || $counted < 1 || count($stems) <= $counted
            ? $living
            : Cutting::of(
                $living, array_map(Cut::thin(...), array_slice($stems, 0, count($stems) - $counted)),
            )->plant;
    }

    /** @param  list<Seen>  $surveyed */
    private static function known(Plant $plant, array $surveyed, bool $isOnWires): string
    {
        $known = array_filter([
            $plant->planted !== null ? 'the year it was planted' : null,
            $plant->heightMm !== null ? 'its height' : null,
            $plant->spreadMm !== null && ! $isOnWires ? 'its spread' : null,
            $surveyed !== [] ? 'its surveyed stems' : ($plant->stems !== null ? 'its counted stems' : null),
            $plant->history !== [] ? 'its record' : null,
        ]);

        return $known === []
            ? 'typical growth: nobody has measured it'
            : 'typical growth, '.implode(', ', $known);
    }
}
