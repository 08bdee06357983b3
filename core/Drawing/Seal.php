<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** A number in a picture, in mm: a cut's place in the order of cuts. */
final readonly class Seal
{
    public function __construct(public Spot $at, public int $number)
    {
    }
}
