<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** Raising the crown: the lowest side branches back to the trunk, no higher than leaves two thirds of it in leaf. */
final readonly class ClearTheStem implements Method
{
    public function key(): string
    {
        return 'clear-the-stem';
    }

    public function name(): string
    {
        return 'Clear the stem';
    }

    public function rank(): int
    {
        return 45;
    }

    public function cleansFirst(): bool
    {
        return true;
    }

    public function steps(Kind $kind): array
    {
        return [
            'Clear the stem to {clear stem}, the lowest branches first.',
            'Spread it over several years where the branches are thicker than a third of the trunk.',
            CutRule::threeCuts(),
            CutRule::toTheBase(),
        ];
    }
}
