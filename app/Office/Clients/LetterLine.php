<?php

declare(strict_types=1);

namespace App\Office\Clients;

use Illuminate\Support\HtmlString;
use PruningHook\Core\Calendar\Day;

/** One thing that is going to be done, as a client reads it. */
final readonly class LetterLine
{
    /**
     * @param  Day  $on  the day it is planned for, or the first it is best done on
     * @param  ?Day  $until  the last it is best done on; null where a day is planned
     * @param  string  $why  without a full stop
     * @param  ?string  $after  what it looks like then; null where nobody sees much of it
     */
    public function __construct(
        public Day $on,
        public ?Day $until,
        public string $plant,
        public string $task,
        public string $why,
        public ?string $after,
        public ?HtmlString $picture,
    ) {
    }
}
