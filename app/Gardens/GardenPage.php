<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Models\Visit;
use App\Ground\Support\Page;
use App\Ground\Support\Pages;
use App\Season\DueRow;
use Illuminate\Database\Eloquent\Collection;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Drawing\Mark;
use PruningHook\Core\Drawing\Strip;
use PruningHook\Core\PlantBook\PlantBook;

/** A garden: what is due in it, its plants' year, its visits. */
final readonly class GardenPage extends Page
{
    /**
     * @param  list<string>  $putAside  choices of practice that the book no longer offers
     * @param  list<DueRow>  $rows  what presses, the soonest to close first
     * @param  list<Mark>  $months
     * @param  array<int, array{plant: Plant, strip: Strip, faults: list<string>}>  $strips
     * @param  Collection<int, Visit>  $coming
     * @param  Collection<int, Visit>  $past
     * @param  bool  $hasMore  where more is due than stands here
     * @param  Pages  $pages  of the past ones
     */
    public function __construct(
        public Garden $garden,
        public Day $today,
        public PlantBook $book,
        public array $putAside,
        public array $rows,
        public array $months,
        public int $width,
        public array $strips,
        public Collection $coming,
        public Collection $past,
        public Pages $pages,
        public bool $hasMore,
        public Pages $plantPages,
    ) {
    }
}
