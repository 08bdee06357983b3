<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Garden;
use App\Models\Observation;
use App\Models\User;

/** Everyone of the crew tells what was seen; planners do so anywhere. */
final class ObservationPolicy
{
    public function create(User $user, Garden $garden): bool
    {
        return $user->isPlanner() || $user->worksWith($garden->crew_id);
    }

    public function delete(User $user, Observation $observation): bool
    {
        return $this->create($user, $observation->garden);
    }
}
