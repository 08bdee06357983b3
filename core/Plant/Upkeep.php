<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

/** What years of too little care, or of the wrong sort, have made of a plant. */
enum Upkeep: string
{
    case Neglected = 'neglected';
    case Congested = 'congested';
    case Lopped = 'lopped';

    /** The aim such a plant has before any other: it is brought back first. */
    public function aim(): ?string
    {
        return $this === self::Congested ? null : 'renewal';
    }
}
