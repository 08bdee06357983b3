<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/** How a kind answers a cut into old wood. */
enum HardCutting: string
{
    case Well = 'well';
    case Slowly = 'slowly';
    case Badly = 'badly';

    /** "it responds poorly" */
    public function inWords(): string
    {
        return $this === self::Badly ? 'poorly' : $this->value;
    }
}
