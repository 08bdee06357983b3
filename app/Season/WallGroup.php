<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Models\Plant;
use PruningHook\Core\Drawing\Pressure;
use PruningHook\Core\Drawing\Strip;

/** One group of the wall: either a strip for each plant, or, where the wall is folded, one line for all of them. */
final readonly class WallGroup
{
    /** @param  list<array{plant: Plant, strip: Strip, faults: list<string>}>  $rows  empty where it is folded */
    public function __construct(
        public string $key,
        public string $heading,
        public int $plants,
        public array $rows,
        public ?Pressure $pressure,
    ) {
    }

    public function counted(): string
    {
        return Pressure::many($this->plants);
    }
}
