<?php

declare(strict_types=1);

namespace App\Plants;

use PruningHook\Core\Drawing\Elevation;
use PruningHook\Core\Drawing\VineArm;
use PruningHook\Core\Drawing\Wall;

/** A plant as it is and as a task leaves it: a vine's arm, on its wires, or from the side. */
final readonly class Drawn
{
    public function __construct(public Elevation $elevation, public ?Wall $wall, public ?VineArm $arm)
    {
    }

    public function says(): string
    {
        return ucfirst($this->arm->says ?? $this->wall->says ?? $this->elevation->says);
    }
}
