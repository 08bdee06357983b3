<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\PlanDraft;
use App\Ground\Support\Page;
use App\Ground\Support\Pages;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Drawing\LoadBar;
use PruningHook\Core\Drawing\RoundMap;

/**
 * The plan: months ahead, crews by weeks, and one week in full.
 */
final readonly class PlanPage extends Page
{
    /**
     * @param  list<Day>  $days  of the week shown
     * @param  array<int, string>  $crews  those shown, name by id
     * @param  list<LoadBar>  $months  person-minutes wanted and there
     * @param  array<int, list<LoadBar>>  $weeks  the same of each crew
     * @param  list<int>  $full  crews whose visits are shown as cards
     * @param  array<int, array<string, int>>  $visits  how many, by crew and day
     * @param  array<int, array<string, string>>  $off  why a crew does not work, by crew and day
     * @param  list<array{label: string, garden: string, id: int, closes: Day, plant: int, choice: string}>  $waiting
     *     what closes soon, unplanned
     * @param  array{unplanned: int, lost: int}  $counts
     * @param  list<array{id: int, garden: string, on: Day}>  $crewless  visits to come that no crew has
     * @param  array<int, string>  $held  visits that the weather holds, and until when
     */
    public function __construct(
        public Day $today,
        public Day $monday,
        public array $days,
        public array $crews,
        public Pages $pages,
        public array $months,
        public array $weeks,
        public Rota $rota,
        public array $full,
        public array $visits,
        public array $off,
        public ?RoundMap $map,
        public array $waiting,
        public array $counts,
        public array $held,
        public array $crewless,
        public ?PlanDraft $draft,
    ) {
    }
}
