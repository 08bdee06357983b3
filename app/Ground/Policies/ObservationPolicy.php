<?php

declare(strict_types=1);

namespace App\Ground\Policies;

use App\Ground\Models\Garden;
use App\Ground\Models\Observation;
use App\Ground\Models\User;

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
