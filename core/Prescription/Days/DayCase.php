<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Days;

use PruningHook\Core\Amount\Budget;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Weather\Forecast;

/** One plant on one day: everything a day's rule may look at. */
final readonly class DayCase
{
    public Plant $plant;

    public Kind $kind;

    /** the season the day falls in, from midwinter to midwinter */
    public KindYear $year;

    /** the season after it */
    public KindYear $next;

    public ?int $yearInGround;

    /** @var list<TaskRule> the tasks the plant has in this season */
    public array $rules;

    /** @param  list<Task>  $open  those whose windows hold the day */
    public function __construct(
        public Day $day,
        SeasonCase $season,
        public array $open,
        public Budget $budget,
        public Forecast $forecast,
        public Figures $figures,
    ) {
        $this->plant = $season->plant;
        $this->kind = $season->kind;
        $this->year = $season->year;
        $this->next = $season->next;
        $this->yearInGround = $season->yearInGround;
        $this->rules = $season->rules;
    }

    public function isInWindow(): bool
    {
        return $this->open !== [];
    }
}
