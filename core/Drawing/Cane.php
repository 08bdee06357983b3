<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** A vine's cane with its nodes and where it is cut. */
final readonly class Cane
{
    /**
     * @param  list<Spot>  $nodes  from its base on, the base node first
     * @param  bool  $insurance  the spare, which the final pass takes out whole
     * @param  Spot  $rough  the cut of the rough pass
     * @param  ?Spot  $final  the cut of the final pass; null for the spare
     */
    public function __construct(
        public Line $line,
        public array $nodes,
        public bool $insurance,
        public Spot $rough,
        public ?Spot $final,
    ) {
    }
}
