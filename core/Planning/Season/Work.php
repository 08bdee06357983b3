<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Fault;

/** One task to be fitted in. */
final readonly class Work
{
    /**
     * @param  string  $garden  its ref
     * @param  int  $minutes  for one person
     * @param  list<string>  $skills  a crew must have all of them
     * @param  float  $weight  how much it matters against others
     * @param  int  $people  who must be there at once
     *
     * @throws Fault where a number cannot be
     */
    public function __construct(
        public string $ref,
        public string $garden,
        public Window $window,
        public int $minutes,
        public array $skills = [],
        public float $weight = 1.0,
        public int $people = 1,
    ) {
        if ($minutes < 0) {
            throw new Fault('work takes no less than nothing');
        }
        if ($weight <= 0) {
            throw new Fault('a weight is above nothing');
        }
    }
}
