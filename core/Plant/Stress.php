<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

/** What a plant is short of, or has too much of, at its roots. */
enum Stress: string
{
    case Drought = 'drought';
    case Waterlogged = 'waterlogged';

    public function inWords(): string
    {
        return match ($this) {
            self::Drought => 'short of water',
            self::Waterlogged => 'standing wet',
        };
    }
}
