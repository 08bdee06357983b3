<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** Permanent arms with laterals at a spacing, cut to buds. */
final readonly class CordonLaterals implements Method
{
    public function key(): string
    {
        return 'cordon-laterals';
    }

    public function name(): string
    {
        return 'Shorten cordon laterals';
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
            'Keep the trunk and its arms; choose laterals about {=spacing of the laterals} apart on alternate sides.',
            'Take out what crowds between them.',
        ];
    }
}
