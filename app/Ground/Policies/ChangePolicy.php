<?php

declare(strict_types=1);

namespace App\Ground\Policies;

use App\Ground\Models\BloomNote;
use App\Ground\Models\Change;
use App\Ground\Models\Garden;
use App\Ground\Models\Observation;
use App\Ground\Models\Plant;
use App\Ground\Models\SignOff;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;

/** Planners take back anything; whoever did something takes it back themselves, soon, while they may still do it. */
final class ChangePolicy
{
    private const SOON_HOURS = 24;

    public function undo(User $user, Change $change): bool
    {
        if ($user->isPlanner()) {
            return true;
        }
        $soon = $change->at->greaterThan(Carbon::now()->subHours(self::SOON_HOURS));
        $model = Change::ROWS[$change->of] ?? null;
        if ($change->user_id !== $user->id || ! $soon || $model === null) {
            return false;
        }
        $row = $model::query()->withoutGlobalScopes()->find($change->row_id)
            ?? (new $model)->setRawAttributes($change->before);

        // Their own name and units are everybody's own; the rest of a person is the planner's.
        return $row instanceof User
            ? $user->is($row) && array_diff(array_keys($change->after), ['name', 'units']) === []
            : self::may($user, $row);
    }

    private static function may(User $user, Model $row): bool
    {
        $gate = Gate::forUser($user);

        return match (true) {
            $row instanceof BloomNote => $gate->allows('survey', $row->plant),
            $row instanceof Observation => $gate->allows('delete', $row),
            $row instanceof SignOff => $gate->allows('signOff', $row->user),
            $row instanceof Garden, $row instanceof Visit => $gate->allows('update', $row),
            // What a hand sees of a plant it may say, and take back.
            $row instanceof Plant => $gate->allows('survey', $row),
            default => false,
        };
    }
}
