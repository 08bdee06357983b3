<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\Thirds;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Kind;

/** Puts the steps of a task into the order of work: clean, suckers, the method's own, the kind's own, clear up. */
final readonly class Steps
{
    /**
     * @param  list<Amount>  $amounts
     * @param  list<string>  $ofTheKind  the plant book's own steps for the task
     * @param  ?string  $missed  the step a missed pass before adds
     * @return list<string>
     */
    public static function for(
        Method $method,
        Kind $kind,
        Plant $plant,
        array $amounts,
        array $ofTheKind,
        ?string $missed,
    ): array {
        $steps = [];
        if ($method->cleansFirst()) {
            $steps[] = 'Start at the base: take out dead, diseased and damaged wood. It does not count against the amount.';
            if ($plant->grafted ?? $kind->has('grafted')) {
                $steps[] = 'Pull off suckers from below the graft where they begin.';
            }
        }
        foreach ([...($missed === null ? [] : [$missed]), ...$method->steps($kind), ...$ofTheKind] as $step) {
            $filled = self::fill(self::counted($step, $plant, $amounts), $amounts);
            if ($filled !== null) {
                $steps[] = $filled;
            }
        }
        $steps[] = $method->cleansFirst()
            ? 'Clear up every cutting; diseased wood leaves the garden and never goes to compost. Disinfect the blades before the next plant.'
            : 'Clear up every cutting.';

        return $steps;
    }

    /**
     * `{old of all}` becomes "3 of the 9 old stems" where they are counted.
     *
     * @param  list<Amount>  $amounts
     */
    private static function counted(string $step, Plant $plant, array $amounts): string
    {
        foreach ($amounts as $amount) {
            if ($amount->what === Thirds::TAKE && $plant->stems !== null) {
                return str_replace('{old of all}', sprintf('%d of the %d old stems', $amount->target, $plant->stems->old), $step);
            }
        }

        return $step;
    }

    /**
     * The step with its amounts in words, or null where it speaks of an amount that is not known.
     *
     * @param  list<Amount>  $amounts
     */
    private static function fill(string $step, array $amounts): ?string
    {
        foreach ($amounts as $amount) {
            $step = str_replace(
                ['{'.$amount->what.'}', '{='.$amount->what.'}'],
                [$amount->inWords(), $amount->targetInWords()],
                $step,
            );
        }

        return str_contains($step, '{') ? null : $step;
    }
}
