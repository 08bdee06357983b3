<?php

declare(strict_types=1);

namespace App\Ground\Models;

/** How a plant answered the cut of its season. */
enum Regrowth: string
{
    case Weak = 'weak';
    case AsWanted = 'as-wanted';
    case Rank = 'rank';

    public function inWords(): string
    {
        return match ($this) {
            self::Weak => 'weak',
            self::AsWanted => 'as wanted',
            self::Rank => 'rank, with watershoots',
        };
    }
}
