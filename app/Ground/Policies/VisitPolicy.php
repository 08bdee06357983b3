<?php

declare(strict_types=1);

namespace App\Ground\Policies;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Ground\Support\Today;

/** Planners and the crew's lead move and cancel visits; everyone of the crew logs work on them. */
final readonly class VisitPolicy
{
    public function __construct(private CorePlants $bridge)
    {
    }

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
        return $user->isPlanner() || $user->leads($visit->crew_id)
            || ($user->worksWith($visit->crew_id) && ! $this->isLocked($visit));
    }

    /** What hands said long ago is the record by now: the lead changes it. */
    private function isLocked(Visit $visit): bool
    {
        return $visit->on->isBefore(Today::day())
            && $visit->on->plus($this->bridge->firm()->log_days)->isBefore(Today::day());
    }
}
