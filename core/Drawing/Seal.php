<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** A number in a picture, in mm: a cut's place in the order of cuts. */
final readonly class Seal
{
    /** @param  Spot  $cut  the wood it speaks of: elsewhere than the number where there was no room on it */
    public function __construct(public Spot $at, public int $number, public Spot $cut)
    {
    }

    public function isAside(): bool
    {
        return $this->at !== $this->cut;
    }
}
