<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** A stem as seen from the side: what is kept of it ends at one place, the rest goes. */
final readonly class SideStem
{
    /**
     * @param  Spot  $keep  where what is kept ends
     * @param  Spot  $seal  where its number stands
     * @param  ?int  $order  place in the order of the cuts at the base; null where it stays
     */
    public function __construct(
        public Line $line,
        public Spot $keep,
        public Spot $seal,
        public ?int $order,
    ) {
    }

    public function goes(): bool
    {
        return $this->order !== null;
    }
}
