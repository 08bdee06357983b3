<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Prescription\Plant;

/** Works out how much, for one plant of a kind. */
interface AmountRule
{
    public function for(Plant $plant, Kind $kind): Amounts;
}
