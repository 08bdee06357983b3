<?php

declare(strict_types=1);

namespace App\Ground\Policies;

use App\Ground\Models\User;

/** The firm's own matters, its house practice among them, are the planner's. */
final class FirmPolicy
{
    public function update(User $user): bool
    {
        return $user->isPlanner();
    }
}
