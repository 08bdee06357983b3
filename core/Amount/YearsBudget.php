<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Plant\Keeping;
use PruningHook\Core\Plant\Plant;

/** The removal budget over the years: what went by the record, what may go, and what is already planned to go. */
final readonly class YearsBudget
{
    private const BACK = 3;

    private const AHEAD = 2;

    /**
     * @return list<array{season: int, used: ?int, cap: int, planned: ?int}> per cent of live growth; used is null where
     *                                                                      the record says nothing, planned counts old
     *                                                                      stems
     */
    public static function of(
        Plant $plant,
        int $season,
        Keeping $keeping,
        int $capPercent,
        string $source,
        string $recipe = Renovation::RECIPE,
    ): array {
        $plan =
            $plant->stems !== null && $plant->stems->old > 0 && $plant->aims($season, $keeping) === 'renewal'
                ? Renovation::plan(
                    $plant->stems->old,
                    max(1, Renovation::YEARS - Renovation::year($plant, $season, $recipe) + 1),
                )
                : [];
        $years = [];
        for ($each = $season - self::BACK; $each <= $season + self::AHEAD; $each++) {
            $told = array_filter(
                $plant->history,
                static fn ($work): bool => $work->season === $each && $work->removedPercent !== null,
            );
            $years[] = [
                'season' => $each,
                'used' => $told === [] ? null : Budget::of($capPercent, $source, $plant->history, $each)->usedPercent,
                'cap' => $capPercent,
                'planned' => $plan[$each - $season] ?? null,
            ];
        }

        return $years;
    }
}
