<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Plant\Circumstances;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Recipe;
use PruningHook\Core\PlantBook\TaskRule;

/**
 * Tells a recipe's steps for one plant: the kind's own word where it has one, amounts in words. A step is left out
 * where none of its wordings speaks of amounts that are known, or where there would be nothing of what it tells of.
 */
final readonly class Steps
{
    /**
     * @param  list<Amount>  $amounts
     * @param  list<string>  $added  what a missed pass or the plant's state adds, told once the plant is clean
     * @return list<string>
     */
    public static function for(
        Recipe $recipe,
        TaskRule $task,
        Plant $plant,
        Circumstances $circumstances,
        array $amounts,
        array $added,
    ): array {
        $steps = [];
        foreach (self::told($recipe, $task, $plant, $circumstances, $amounts) as $key => [, $step]) {
            if (! in_array($key, Recipe::CLEANING, true)) {
                $steps = [...$steps, ...$added];
                $added = [];
            }
            $steps[] = $step;
        }

        return [...$steps, ...$added];
    }

    /**
     * The wordings that are used, their slots not yet filled: `{buds per lateral}` stands for all of an amount,
     * `{=buds per lateral}` for its target alone, `{old of all}` for "3 of the 9 old stems".
     *
     * @param  list<Amount>  $amounts
     * @return array<string, string> by the step's key, in order
     */
    public static function chosen(
        Recipe $recipe,
        TaskRule $task,
        Plant $plant,
        Circumstances $circumstances,
        array $amounts,
    ): array {
        return array_map(
            static fn (array $each): string => $each[0],
            self::told($recipe, $task, $plant, $circumstances, $amounts),
        );
    }

    /**
     * Each step by its wording, and as it is said of this plant.
     *
     * @param  list<Amount>  $amounts
     * @return array<string, array{string, string}> by the step's key, in order
     */
    private static function told(
        Recipe $recipe,
        TaskRule $task,
        Plant $plant,
        Circumstances $circumstances,
        array $amounts,
    ): array {
        $known = self::slots($plant, $amounts);
        $told = [];
        foreach ($recipe->steps as $key => $wording) {
            foreach (($task->steps[$key] ?? $wording)->for($circumstances) as $says) {
                $step = str_contains($says, '{') ? strtr($says, $known) : $says;
                if (! str_contains($step, '{')) {
                    $told[$key] = [$says, $step];

                    break;
                }
            }
        }

        return $told;
    }

    /**
     * What fills each slot. An amount that can only be none of a thing fills nothing: no step tells of it.
     *
     * @param  list<Amount>  $amounts
     * @return array<string, string>
     */
    private static function slots(Plant $plant, array $amounts): array
    {
        $slots = [];
        foreach ($amounts as $amount) {
            if ($amount->max > 0) {
                $slots['{'.$amount->what.'}'] = $amount->inWords();
                $slots['{='.$amount->what.'}'] = $amount->targetInWords();
            }
            if ($amount->effect === Effect::OldStemsOut && $plant->stems !== null && $amount->target > 0) {
                $slots['{old of all}'] = sprintf('%d of the %d old stems', $amount->target, $plant->stems->old);
            }
        }

        return $slots;
    }
}
