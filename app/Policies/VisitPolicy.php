<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use App\Models\Visit;

/** Planners and the crew's lead move and cancel visits; everyone of the crew logs work on them. */
final class VisitPolicy
{
    public function update(User $user, Visit $visit): bool
    {
        return $user->isPlanner() || $user->leads($visit->crew_id);
    }

    public function delete(User $user, Visit $visit): bool
    {
        return $this->update($user, $visit);
    }

    public function log(User $user, Visit $visit): bool
    {
        return $user->isPlanner() || $user->worksWith($visit->crew_id);
    }
}
