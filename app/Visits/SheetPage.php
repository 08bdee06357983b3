<?php

declare(strict_types=1);

namespace App\Visits;

use App\Models\Visit;
use App\Support\Page;
use PruningHook\Core\Calendar\Sun;
use PruningHook\Core\Drawing\Bowl;
use PruningHook\Core\Structure\Judgement;
use PruningHook\Core\Weather\Advice;
use PruningHook\Core\Weather\DayWeather;

/** The sheet of a visit. */
final readonly class SheetPage extends Page
{
    /**
     * @param  array<int, array<string, mixed>>  $says  what can be said of each plant with a tap, by plant
     * @param  list<Advice>  $advice
     * @param  array<int, ?array{bowl: Bowl, judged: Judgement}>  $plans  by task
     * @param  ?int  $tooLong  how many people cannot do it all by daylight; null where they can
     */
    public function __construct(
        public Visit $visit,
        public array $says,
        public Sun $sun,
        public ?DayWeather $weather,
        public array $advice,
        public array $plans,
        public ?int $tooLong,
    ) {
    }
}
