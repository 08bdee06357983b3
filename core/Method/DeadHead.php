<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** Spent flowers off, to a strong bud. */
final readonly class DeadHead implements Method
{
    public function key(): string
    {
        return 'dead-head';
    }

    public function name(): string
    {
        return 'Dead-head';
    }

    public function rank(): int
    {
        return 60;
    }

    public function cleansFirst(): bool
    {
        return false;
    }

    public function steps(Kind $kind): array
    {
        return [
            'Cut spent flowers to the first strong leaf and bud below.',
        ];
    }
}
