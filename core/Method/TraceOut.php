<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** All-green shoots of a variegated plant and spikes through the middle, followed to where they begin. */
final readonly class TraceOut implements Method
{
    public function key(): string
    {
        return 'trace-out';
    }

    public function name(): string
    {
        return 'Trace out reversion and watershoots';
    }

    public function rank(): int
    {
        return 25;
    }

    public function cleansFirst(): bool
    {
        return true;
    }

    public function steps(Kind $kind): array
    {
        return [
            'Look for all-green shoots and for spikes bolting through the middle.',
            'Trace each to its origin and take it out there; snipped at the surface it comes back double.',
        ];
    }
}
