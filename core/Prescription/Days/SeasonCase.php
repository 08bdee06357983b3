<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Days;

use PruningHook\Core\Calendar\Closure;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\TaskRule;

/** One plant in one season: what all its days share, gathered once for the 365 of them. */
final readonly class SeasonCase
{
    /**
     * @param  KindYear  $year  the season, from midwinter to midwinter
     * @param  KindYear  $next  the season after it
     * @param  list<TaskRule>  $rules  the tasks the plant has in this season
     * @param  list<Closure>  $closed
     */
    public function __construct(
        public Plant $plant,
        public Kind $kind,
        public KindYear $year,
        public KindYear $next,
        public ?int $yearInGround,
        public array $rules,
        public array $closed,
    ) {
    }
}
