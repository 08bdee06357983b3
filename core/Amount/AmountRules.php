<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\AmountSpec;
use PruningHook\Core\PlantBook\Kind;

/** The rules the plant book may name, each with the figures it takes. */
final readonly class AmountRules
{
    /** @throws Fault when the rule is not known or lacks a figure */
    public static function of(AmountSpec $spec): AmountRule
    {
        [$entry, $source] = [$spec->given, $spec->source];

        return match ($entry->string('rule')) {
            'given' => Given::fromEntry($entry, $source),
            'thirds' => Thirds::of($source),
            'renovation' => Renovation::of($source),
            'one-off-renovation' => OneOffRenovation::of($source),
            'buds-with-losses' => BudsWithLosses::fromEntry($entry, $source),
            'balanced' => BalancedPruning::fromEntry($entry, $source),
            'wires' => Wires::fromEntry($entry, $source),
            'bent-cane' => BentCane::fromEntry($entry, $source),
            'flowering-height' => FloweringHeight::of($source),
            'stems-to-keep' => StemsToKeep::fromEntry($entry, $source),
            'reduce-height' => ReduceHeight::fromEntry($entry, $source),
            'positions' => Positions::fromEntry($entry, $source),
            'clear-stem' => ClearStem::fromEntry($entry, $source),
            default => throw $entry->fault('rule', sprintf('"%s" is not an amount rule', $entry->string('rule'))),
        };
    }

    /**
     * Makes every rule a kind names, for whoever keeps a book.
     *
     * @throws Fault when one is not known or lacks a figure
     */
    public static function check(Kind $kind): Kind
    {
        foreach ($kind->tasks as $task) {
            foreach ($task->amounts as $amount) {
                self::of($amount->value);
            }
        }

        return $kind;
    }
}
