<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** Buds by the weight of what came off: a strong vine keeps many, a weak one few. */
final readonly class Balanced implements Method
{
    public function key(): string
    {
        return 'balanced';
    }

    public function name(): string
    {
        return 'Balanced pruning';
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
            'Take off the one-year wood roughly, leaving more canes than are needed, and weigh what came off.',
            'Keep {=buds to the vine} in all, on well-ripened canes of a pencil thickness; count along the arms.',
            'Take the spare canes out only once the count is made.',
        ];
    }
}
