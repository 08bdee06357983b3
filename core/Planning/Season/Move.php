<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/** One way to try something else: takes visits off the board and finds them other places. */
interface Move
{
    /** The board is changed; whether that is kept is decided by what it costs. */
    public function try(Board $board): void;
}
