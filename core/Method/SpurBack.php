<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** Laterals shortened to a number of buds on a permanent framework. */
final readonly class SpurBack implements Method
{
    public function key(): string
    {
        return 'spur-back';
    }

    public function name(): string
    {
        return 'Spur back';
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
            'Follow each lateral back to the framework, one arm at a time.',
            'Leave short flowering or fruiting spurs alone, even where they upset the spacing.',
        ];
    }
}
