<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Models\Plant;
use App\Ground\Support\Page;
use App\Ground\Support\Pages;
use PruningHook\Core\Drawing\Mark;
use PruningHook\Core\Drawing\Strip;

/** One group of the wall, unfolded a page at a time. */
final readonly class GroupPage extends Page
{
    /**
     * @param  list<Mark>  $months
     * @param  bool  $garden  true where each row names its garden
     * @param  list<array{plant: Plant, strip: Strip, faults: list<string>}>  $rows
     */
    public function __construct(
        public array $months,
        public int $width,
        public bool $garden,
        public array $rows,
        public Pages $rest,
    ) {
    }
}
