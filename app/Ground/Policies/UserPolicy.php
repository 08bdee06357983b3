<?php

declare(strict_types=1);

namespace App\Ground\Policies;

use App\Ground\Models\User;

/**
 * Planners say who works here and what they may do; anybody may leave, but not the last who plans. A lead signs off the
 * hands of the own crew, a planner anybody; nobody themselves.
 */
final class UserPolicy
{
    public function create(User $user): bool
    {
        return $user->isPlanner();
    }

    public function update(User $user, User $person): bool
    {
        return $user->isPlanner() && $person->left_on === null;
    }

    /** Writing to somebody who has not come in yet. */
    public function invite(User $user, User $person): bool
    {
        return $this->update($user, $person) && $person->joined_at === null;
    }

    public function leave(User $user, User $person): bool
    {
        return $person->left_on === null && ! $person->isLastPlanner() && ($user->isPlanner() || $user->is($person));
    }

    public function bringBack(User $user, User $person): bool
    {
        return $user->isPlanner() && $person->left_on !== null;
    }

    public function erase(User $user, User $person): bool
    {
        return $user->isPlanner() && $person->left_on !== null;
    }

    public function signOff(User $user, User $person): bool
    {
        return $user->id !== $person->id && ($user->isPlanner() || $user->leads($person->crew_id));
    }
}
