<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

/** What a plant is short of, or has too much of, at its roots. */
enum Stress: string
{
    case Drought = 'drought';
    case Waterlogged = 'waterlogged';
}
