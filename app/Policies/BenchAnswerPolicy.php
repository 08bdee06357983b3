<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\BenchAnswer;
use App\Models\User;

/** Whoever handed it in reads it again, their lead, and planners. */
final class BenchAnswerPolicy
{
    public function view(User $user, BenchAnswer $answer): bool
    {
        return $user->id === $answer->user_id || $user->isPlanner() || $user->leads($answer->user->crew_id);
    }
}
