<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/** One way to try something else: takes visits off the solution and finds them other places. */
interface Move
{
    /** The solution is changed; whether that is kept is decided by what it costs. */
    public function try(Solution $solution): void;
}
