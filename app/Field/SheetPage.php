<?php

declare(strict_types=1);

namespace App\Field;

use App\Ground\Models\Entry;
use App\Ground\Models\Visit;
use App\Ground\Support\Page;
use PruningHook\Core\Calendar\Sun;
use PruningHook\Core\Weather\Advice;
use PruningHook\Core\Weather\DayWeather;

/** The sheet of a visit: arriving, one page a task in the order of work, leaving. */
final readonly class SheetPage extends Page
{
    /**
     * @param  list<Advice>  $advice
     * @param  list<SheetTask>  $sheets  in the order of work
     * @param  ?int  $tooLong  how many people cannot do it all by daylight; null where they can
     * @param  list<string>  $hazards
     * @param  list<string>  $tools  of all its tasks, each once
     * @param  array<string, Entry>  $words  what was said last of arriving, leaving and signing off, by kind
     */
    public function __construct(
        public Visit $visit,
        public Sun $sun,
        public ?DayWeather $weather,
        public array $advice,
        public array $sheets,
        public ?int $tooLong,
        public array $hazards,
        public array $tools,
        public array $words,
    ) {
    }
}
