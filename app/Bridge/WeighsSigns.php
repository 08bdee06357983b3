<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Models\Firm;

/** Whoever keeps what the signs of the season come to, so that it is up to date before it is read. */
interface WeighsSigns
{
    public function weighAllIfDue(Firm $firm): void;
}
