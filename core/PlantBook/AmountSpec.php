<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/**
 * An amount rule as the plant book names it: `{rule: thirds, source: rhs-shrub-groups}`. `Amount\AmountRules` makes the
 * rule of it.
 */
final readonly class AmountSpec
{
    /** @param  Entry  $given  the rule's name under `rule`, and its figures */
    public function __construct(public Entry $given, public string $source)
    {
    }
}
