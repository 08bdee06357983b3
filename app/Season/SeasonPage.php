<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Support\Page;
use App\Ground\Support\Pages;
use App\Season\Due\Readiness;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Drawing\Mark;

/** What presses in all gardens, list by list, and the wall. */
final readonly class SeasonPage extends Page
{
    /**
     * @param  int  $most  so many tasks are counted
     * @param  array<string, int>  $counts  by urgency; one more than are counted stands for more
     * @param  array<string, list<DueRow>>  $lists  by urgency
     * @param  ?Pages  $pages  where one urgency is asked for
     * @param  list<Mark>  $months
     */
    public function __construct(
        public Day $today,
        public Readiness $ready,
        public int $most,
        public array $counts,
        public array $lists,
        public ?Pages $pages,
        public array $months,
        public int $width,
        public WallPage $walls,
    ) {
    }
}
