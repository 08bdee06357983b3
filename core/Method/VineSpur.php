<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** Canes on permanent arms cut back to spurs of a few nodes. */
final readonly class VineSpur implements Method
{
    public function key(): string
    {
        return 'vine-spur';
    }

    public function name(): string
    {
        return 'Spur-prune the vine';
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
            'Work along each arm: one spur position at a time.',
            'Count live buds only; nick a doubtful one to see green.',
        ];
    }
}
