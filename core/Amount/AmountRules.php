<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\AmountSpec;
use PruningHook\Core\PlantBook\Kind;

/** The rules the plant book may name, each with the figures it takes. */
final readonly class AmountRules
{
    /** @var array<string, class-string<AmountRule>> */
    private const RULES = [
        'given' => Given::class,
        'thirds' => Thirds::class,
        'renovation' => Renovation::class,
        'one-off-renovation' => OneOffRenovation::class,
        'buds-with-losses' => BudsWithLosses::class,
        'balanced' => BalancedPruning::class,
        'wires' => Wires::class,
        'bent-cane' => BentCane::class,
        'flowering-height' => FloweringHeight::class,
        'stems-to-keep' => StemsToKeep::class,
        'reduce-height' => ReduceHeight::class,
        'positions' => Positions::class,
        'clear-stem' => ClearStem::class,
    ];

    /** @throws Fault when the rule is not known or lacks a figure */
    public static function of(AmountSpec $spec): AmountRule
    {
        $name = $spec->given->string('rule');
        $rule = self::RULES[$name]
            ?? throw $spec->given->fault('rule', sprintf('"%s" is not an amount rule', $name));

        return $rule::fromEntry($spec->given, $spec->source);
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
