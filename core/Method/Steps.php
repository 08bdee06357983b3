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
        foreach (self::chosen($recipe, $task, $plant, $circumstances, $amounts) as $key => $says) {
            if (! in_array($key, Recipe::CLEANING, true)) {
                $steps = [...$steps, ...$added];
                $added = [];
            }
            $steps[] = strtr($says, self::slots($plant, $amounts));
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
        $known = self::slots($plant, $amounts);
        $chosen = [];
        foreach ($recipe->steps as $key => $wording) {
            foreach (($task->steps[$key] ?? $wording)->for($circumstances) as $says) {
                if (! str_contains(strtr($says, $known), '{')) {
                    $chosen[$key] = $says;

                    break;
                }
            }
        }

        return $chosen;
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
