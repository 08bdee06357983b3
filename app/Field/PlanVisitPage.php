<?php

declare(strict_types=1);

namespace App\Field;

use App\Ground\Models\Garden;
use App\Ground\Support\Page;
use App\Season\DueRow;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Planning\CommonWindow;
use PruningHook\Core\Prescription\SeasonTask;

/** What a visit to a garden may take up, what it does, and the days its tasks share. */
final readonly class PlanVisitPage extends Page
{
    /**
     * @param  list<DueRow>  $rows  by opening
     * @param  list<string>  $chosen  plant, task and season
     * @param  list<SeasonTask>  $tasks  those chosen
     * @param  int  $minutes  of one gardener
     * @param  list<string>  $watched  methods that nobody of the crew is signed off for
     * @param  bool  $isLong  where more could be planned than stands in the list
     */
    public function __construct(
        public Garden $garden,
        public Day $today,
        public array $rows,
        public array $chosen,
        public array $tasks,
        public ?CommonWindow $common,
        public int $minutes,
        public Day $suggested,
        public Day $on,
        public array $watched,
        public bool $isLong,
    ) {
    }
}
