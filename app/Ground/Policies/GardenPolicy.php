<?php

declare(strict_types=1);

namespace App\Ground\Policies;

use App\Ground\Models\Garden;
use App\Ground\Models\User;

/** Everyone of the firm sees all gardens; planners and the crew's lead change them. */
final class GardenPolicy
{
    public function create(User $user): bool
    {
        return $user->isPlanner();
    }

    public function update(User $user, Garden $garden): bool
    {
        return $user->isPlanner() || $user->leads($garden->crew_id);
    }

    /** Planning a visit there. */
    public function plan(User $user, Garden $garden): bool
    {
        return $garden->archived_on === null && $this->update($user, $garden);
    }

    /** Putting it away, and bringing it back. */
    public function archive(User $user, Garden $garden): bool
    {
        return $user->isPlanner();
    }
}
