<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** A side shoot of a main, cut just above the last of its buds. */
final readonly class Lateral
{
    /** @param  list<Spot>  $buds  from its base on */
    public function __construct(
        public Line $line,
        public array $buds,
    ) {
    }
}
