<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** New growth led to its support and tied. */
final readonly class TrainAndTie implements Method
{
    public function key(): string
    {
        return 'train-and-tie';
    }

    public function name(): string
    {
        return 'Train and tie';
    }

    public function rank(): int
    {
        return 70;
    }

    public function cleansFirst(): bool
    {
        return false;
    }

    public function steps(Kind $kind): array
    {
        return [
            'Lead the new growth to its place while it bends, the lowest shoots first.',
            'Tie with a loose figure of eight, soft, about every 45 cm, on the outside of the wire.',
        ];
    }
}
