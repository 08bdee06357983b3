<?php

declare(strict_types=1);

namespace App\Ground\Policies;

use App\Ground\Models\BenchAnswer;
use App\Ground\Models\User;

/** Whoever handed it in reads it again, their lead, and planners. */
final class BenchAnswerPolicy
{
    public function view(User $user, BenchAnswer $answer): bool
    {
        return $user->id === $answer->user_id || $user->isPlanner() || $user->leads($answer->user->crew_id);
    }
}
