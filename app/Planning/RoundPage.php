<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\Visit;
use App\Ground\Support\Page;
use App\Ground\Support\Pages;
use Illuminate\Database\Eloquent\Collection;
use PruningHook\Core\Calendar\Day;

/** The round of a crew, or of all: today, what was never logged, what comes and what was. */
final readonly class RoundPage extends Page
{
    /**
     * @param  array<int, string>  $crews  name by id
     * @param  array{now: Pages, unlogged: Pages}  $pages
     * @param  Collection<int, Visit>  $now
     * @param  Collection<int, Visit>  $unlogged
     * @param  Collection<int, Visit>  $coming
     * @param  Collection<int, Visit>  $past
     * @param  array<int, array{plants: list<string>, tasks: int, minutes: int}>  $work  by visit
     * @param  list<string>  $pocket  pages that the phone of the crew keeps, today's and tomorrow's
     * @param  ?RoundDay  $day  of the crew that is chosen; null where it has no visit today
     */
    public function __construct(
        public Day $today,
        public ?int $crew,
        public array $crews,
        public array $pages,
        public Collection $now,
        public Collection $unlogged,
        public Collection $coming,
        public Collection $past,
        public array $work,
        public ?RoundDay $day,
        public array $pocket,
    ) {
    }
}
