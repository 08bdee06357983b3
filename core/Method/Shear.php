<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** The face trimmed to last year's line, slightly narrower at the top. */
final readonly class Shear implements Method
{
    public function key(): string
    {
        return 'shear';
    }

    public function name(): string
    {
        return 'Shear';
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
            'Run a line where the height matters.',
            'Trim the sides from the bottom up, a little narrower at the top than at the foot.',
            'Trim the top last.',
        ];
    }
}
