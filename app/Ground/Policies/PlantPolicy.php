<?php

declare(strict_types=1);

namespace App\Ground\Policies;

use App\Ground\Models\Plant;
use App\Ground\Models\User;

/** Whoever may change a garden may change its plants. */
final readonly class PlantPolicy
{
    public function __construct(private GardenPolicy $gardens)
    {
    }

    public function update(User $user, Plant $plant): bool
    {
        return $this->gardens->update($user, $plant->garden);
    }

    /** Whoever works there surveys stems: the hands see them. */
    public function survey(User $user, Plant $plant): bool
    {
        return $user->isPlanner() || $user->worksWith($plant->garden->crew_id);
    }

    public function delete(User $user, Plant $plant): bool
    {
        return $this->update($user, $plant);
    }
}
