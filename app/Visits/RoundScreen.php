<?php

declare(strict_types=1);

namespace App\Visits;

use App\Models\Crew;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Database\Eloquent\Builder;
use PruningHook\Core\Calendar\Day;

/** A crew's round: today's visits, what is still to be logged, and what comes. People of a crew see their own first. */
final readonly class RoundScreen
{
    /** @return array<string, mixed> */
    public function show(User $user, ?int $crew, Day $today): array
    {
        $crew ??= $user->crew_id;
        $visits = Visit::query()->with(['garden', 'crew', 'tasks' => ['plant', 'log']])
            ->when($crew !== null, static fn (Builder $query) => $query->where('crew_id', $crew));

        return [
            'today' => $today,
            'crew' => $crew,
            'crews' => Crew::query()->orderBy('name')->get(),
            'now' => (clone $visits)->whereDate('on', (string) $today)->get(),
            'unlogged' => (clone $visits)->whereDate('on', '<', (string) $today)->whereHas('tasks', static fn (Builder $task) => $task->doesntHave('log'))->orderBy('on')->get(),
            'coming' => (clone $visits)->whereDate('on', '>', (string) $today)->orderBy('on')->limit(20)->get(),
            'past' => (clone $visits)->whereDate('on', '<', (string) $today)->orderByDesc('on')->limit(8)->get(),
        ];
    }
}
