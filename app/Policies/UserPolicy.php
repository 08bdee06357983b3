<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;

/** A lead signs off the hands of the own crew, a planner anybody; nobody themselves. */
final class UserPolicy
{
    public function signOff(User $user, User $person): bool
    {
        return $user->id !== $person->id && ($user->isPlanner() || $user->leads($person->crew_id));
    }
}
