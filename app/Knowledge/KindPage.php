<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Ground\Models\Garden;
use App\Ground\Models\OwnKind;
use App\Ground\Models\Plant;
use App\Ground\Support\Page;
use Illuminate\Database\Eloquent\Collection;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Drawing\Ring;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\DayRun;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Schools\SchoolQuestion;

/** A kind of the plant book as it stands in one garden, and what the firm has corrected of it. */
final readonly class KindPage extends Page
{
    /**
     * @param  list<Task>  $tasks
     * @param  list<string>  $faults
     * @param  list<DayRun>  $days
     * @param  array<string, SchoolQuestion>  $questions  on which its work hangs
     * @param  Collection<int, OwnKind>  $own  the latest first
     * @param  list<array{what: string, was: string, is: string}>  $differs
     * @param  int  $count  plants of it in all gardens
     * @param  Collection<int, Plant>  $ours  the first of them
     */
    public function __construct(
        public Kind $kind,
        public PlantBook $book,
        public int $season,
        public ?Garden $garden,
        public Day $today,
        public array $tasks,
        public array $faults,
        public Ring $ring,
        public array $days,
        public array $questions,
        public Collection $own,
        public array $differs,
        public int $count,
        public Collection $ours,
    ) {
    }
}
