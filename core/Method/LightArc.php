<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** The whole bush a third shorter and rounded. */
final readonly class LightArc implements Method
{
    public function key(): string
    {
        return 'light-arc';
    }

    public function name(): string
    {
        return 'Reduce to a light arc';
    }

    public function rank(): int
    {
        return 50;
    }

    public function cleansFirst(): bool
    {
        return true;
    }

    public function steps(Kind $kind): array
    {
        return [
            'Bring the bush down to {height after the cut}, rounded like an arc.',
            'Thin twiggy clusters at the top so that air goes through.',
            CutRule::overBud($kind),
        ];
    }
}
