<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Support\Page;
use App\Ground\Support\Pages;

/** The wall: the year of all that is asked for, folded into groups where that is much. */
final readonly class WallPage extends Page
{
    /**
     * @param  list<WallGroup>  $wall
     * @param  int  $peak  the most tasks at once in any group
     */
    public function __construct(
        public array $wall,
        public bool $folded,
        public int $peak,
        public Pages $groups,
    ) {
    }
}
