<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** Dead, diseased and damaged wood only, and spent heads. */
final readonly class Clean implements Method
{
    public function key(): string
    {
        return 'clean';
    }

    public function name(): string
    {
        return 'Clean';
    }

    public function rank(): int
    {
        return 10;
    }

    public function cleansFirst(): bool
    {
        return true;
    }

    public function steps(Kind $kind): array
    {
        return [
            'Cut back to sound wood: the face of the cut is clean and pale.',
            'Leave all healthy growth on.',
        ];
    }
}
