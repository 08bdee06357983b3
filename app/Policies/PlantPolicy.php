<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Plant;
use App\Models\User;

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

    public function delete(User $user, Plant $plant): bool
    {
        return $this->update($user, $plant);
    }
}
