<?php

declare(strict_types=1);

namespace PruningHook\Core\Weather;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\PlantBook\Kind;

/** How far the warmth of a spring has brought a kind towards its bloom, in degree days Fahrenheit above 50 °F. */
final readonly class Warmth
{
    /**
     * @param  int  $sum  gathered by today
     * @param  int  $needed  the published sum at which it blooms
     * @param  ?Day  $reached  the day that was; null where it is to come
     * @param  ?Day  $foretold  the day that will be; null where it has been
     */
    public function __construct(
        public Kind $kind,
        public int $sum,
        public int $needed,
        public ?Day $reached,
        public ?Day $foretold,
    ) {
    }
}
