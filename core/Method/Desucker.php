<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** Suckers traced to where they begin and taken off there. */
final readonly class Desucker implements Method
{
    public function key(): string
    {
        return 'desucker';
    }

    public function name(): string
    {
        return 'Take off suckers';
    }

    public function rank(): int
    {
        return 20;
    }

    public function cleansFirst(): bool
    {
        return false;
    }

    public function steps(Kind $kind): array
    {
        return [
            'Trace every sucker to where it begins and pull or cut it off there, never at the soil surface.',
        ];
    }
}
