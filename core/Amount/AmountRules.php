<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;

/** The rules the plant book may name, each with the figures it takes. */
final readonly class AmountRules
{
    /** @throws Fault when the rule is not known or lacks a figure */
    public static function fromEntry(Entry $entry, string $source): AmountRule
    {
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
}
