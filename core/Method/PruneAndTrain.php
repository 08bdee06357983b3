<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** Mains renewed and bent, laterals shortened to buds. */
final readonly class PruneAndTrain implements Method
{
    public function key(): string
    {
        return 'prune-and-train';
    }

    public function name(): string
    {
        return 'Prune and train';
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
            'Take everything loose; look at the whole plant off its support.',
            'Keep {mains to keep}; an old one goes where a new one takes its place.',
            'Shorten the laterals on the mains to {buds per lateral}.',
            CutRule::overBud($kind),
        ];
    }
}
