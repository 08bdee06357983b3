<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Kind;

/** Works out how much, for one plant of a kind. */
interface AmountRule
{
    public function for(Plant $plant, Kind $kind): Amounts;
}
