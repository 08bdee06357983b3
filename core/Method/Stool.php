<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** All of it to a low framework, for bright young stems or leaves. */
final readonly class Stool implements Method
{
    public function key(): string
    {
        return 'stool';
    }

    public function name(): string
    {
        return 'Stool';
    }

    public function rank(): int
    {
        return 60;
    }

    public function cleansFirst(): bool
    {
        return true;
    }

    public function steps(Kind $kind): array
    {
        return [
            'Cut every stem of last year to within a hand of the low framework: 5 to 8 cm above the knuckle, to a bud that faces out.',
            'Take out one old stub in three at the base each year, so that the framework stays low and young.',
            CutRule::overBud($kind),
        ];
    }
}
