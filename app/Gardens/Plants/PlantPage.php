<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Models\BloomNote;
use App\Ground\Models\WorkLog;
use App\Ground\Support\Page;
use App\Season\DueRow;
use Illuminate\Database\Eloquent\Collection;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Drawing\Ring;
use PruningHook\Core\Plant\Plant as CorePlant;
use PruningHook\Core\Prescription\CutVerdict;
use PruningHook\Core\Prescription\DayRun;
use PruningHook\Core\Prescription\Task;

/** A plant: its drawing, its year, what is due, what a day means, its record. */
final readonly class PlantPage extends Page
{
    /**
     * @param  list<array{season: int, used: ?int, cap: int, planned: ?int}>  $budgets  by season
     * @param  array<string, mixed>  $taps  what can be said of it with a tap
     * @param  list<string>  $seen  what was said of it, in words
     * @param  bool  $past  true where what passes was seen too long ago
     * @param  CorePlant  $stands  as it stands today
     * @param  list<string>  $putAside  choices of practice that the book no longer offers
     * @param  list<string>  $faults
     * @param  list<DayRun>  $days
     * @param  ?DueRow  $next  that is to be done next; null where nothing is
     * @param  list<DueRow>  $others  by opening
     * @param  array<string, Task>  $tasks  those of the rows, in full
     * @param  list<string>  $plan  what a visit would be planned for
     * @param  bool  $crews  false where all of it is an arborist's
     * @param  list<BloomNote>  $blooms  the latest first
     * @param  Collection<int, WorkLog>  $logs  the last few
     * @param  Collection<int, WorkLog>  $left  left for this year
     */
    public function __construct(
        public DrawingPage $drawing,
        public array $budgets,
        public array $taps,
        public array $seen,
        public bool $past,
        public CorePlant $stands,
        public array $putAside,
        public Day $today,
        public int $season,
        public array $faults,
        public Ring $ring,
        public array $days,
        public ?DueRow $next,
        public array $others,
        public array $tasks,
        public array $plan,
        public bool $crews,
        public CutVerdict $verdict,
        public array $blooms,
        public Collection $logs,
        public Collection $left,
    ) {
    }
}
