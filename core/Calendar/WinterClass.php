<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/** How hard a site's winter is, as far as it moves a pruning date. */
enum WinterClass: string
{
    /** Roses and other borderline wood die back; spring work waits for signs of spring. */
    case Cold = 'cold';
    /** Plants rest, but hard die-back is the exception. */
    case Cool = 'cool';
    /** No real winter rest. */
    case Warm = 'warm';
}
