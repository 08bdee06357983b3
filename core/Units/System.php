<?php

declare(strict_types=1);

namespace PruningHook\Core\Units;

/** What lengths are told in. */
enum System: string
{
    case Metric = 'metric';
    case Imperial = 'imperial';
}
