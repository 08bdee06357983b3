<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Days;

use PruningHook\Core\Amount\Budget;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\Prescription\Plant;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Weather\Forecast;

/** One plant on one day: everything a day's rule may look at. */
final readonly class DayCase
{
    /**
     * @param  list<TaskRule>  $rules  the tasks the plant has in this season
     * @param  list<Task>  $open  those whose windows hold the day
     */
    private function __construct(
        public Day $day,
        public Plant $plant,
        public Kind $kind,
        /** the season the day falls in, from midwinter to midwinter */
        public KindYear $year,
        /** the season after it */
        public KindYear $next,
        public ?int $yearInGround,
        public array $rules,
        public array $open,
        public Budget $budget,
        public Forecast $forecast,
        public Figures $figures,
    ) {
    }

    /**
     * @param  list<TaskRule>  $rules
     * @param  list<Task>  $open
     */
    public static function of(Day $day, Plant $plant, Kind $kind, KindYear $year, KindYear $next, ?int $yearInGround, array $rules, array $open, Budget $budget, Forecast $forecast, Figures $figures): self
    {
        return new self($day, $plant, $kind, $year, $next, $yearInGround, $rules, $open, $budget, $forecast, $figures);
    }

    public function isInWindow(): bool
    {
        return $this->open !== [];
    }
}
