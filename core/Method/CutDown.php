<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** All of last year's growth down to a hand above the ground. */
final readonly class CutDown implements Method
{
    public function key(): string
    {
        return 'cut-down';
    }

    public function name(): string
    {
        return 'Cut down';
    }

    public function rank(): int
    {
        return 50;
    }

    public function cleansFirst(): bool
    {
        return false;
    }

    public function steps(Kind $kind): array
    {
        return [
            'Tie the clump round its middle first: it comes away in one piece.',
            'Cut all of last year\'s growth at {height left}, above any new shoots.',
        ];
    }
}
