<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** Last year's arms replaced by new canes from the head. */
final readonly class VineCane implements Method
{
    public function key(): string
    {
        return 'vine-cane';
    }

    public function name(): string
    {
        return 'Cane-prune the vine';
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
            'Choose the new canes from as near the head as they come, pencil-thick and brown.',
            'Leave a renewal spur of two buds below each.',
            'Take out last year\'s fruited arms whole.',
        ];
    }
}
