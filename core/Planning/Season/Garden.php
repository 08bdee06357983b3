<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

use PruningHook\Core\Fault;

/** Where work is done. */
final readonly class Garden
{
    /**
     * @param  ?Place  $place  null where nobody has said: then every way to it takes the firm's usual minutes
     * @param  int  $setUp  minutes of each visit before and after the work
     * @param  list<int>  $closed  weekdays on which nobody may come, 1 for Monday
     *
     * @throws Fault with a set-up below nothing
     */
    public function __construct(
        public string $ref,
        public ?Place $place,
        public int $setUp = 0,
        public array $closed = [],
    ) {
        if ($setUp < 0) {
            throw new Fault('set-up takes no less than nothing');
        }
    }
}
