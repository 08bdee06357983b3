<?php

declare(strict_types=1);

namespace App\Visits;

use App\Models\Crew;
use App\Models\User;
use App\Models\Visit;
use App\Support\Pages;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use PruningHook\Core\Calendar\Day;

/** A crew's round: today's visits, what is still to be logged, and what comes. People of a crew see their own first. */
final readonly class RoundScreen
{
    private const TODAY = 20;

    private const UNLOGGED = 10;

    private const COMING = 10;

    private const PAST = 8;

    /** @return array<string, mixed> */
    public function show(User $user, Request $request, Day $today): array
    {
        $crews = Crew::query()->get()->sortBy('name')->values();
        $asked = $request->has('crew') ? $request->integer('crew') : $user->crew_id;
        $crew = $crews->firstWhere('id', $asked)?->id;
        $visits = static function () use ($crew): Builder {
            $visits = Visit::query()->with(['garden', 'tasks' => static fn ($tasks) => $tasks->select(['id', 'visit_id', 'plant_id', 'minutes', 'position']), 'tasks.plant' => static fn ($plant) => $plant->select(['id', 'label'])]);

            return $crew === null ? $visits : $visits->where('crew_id', $crew);
        };
        $now = $visits()->where('on', (string) $today);
        $waiting = $visits()->where('on', '<', (string) $today)->where('unlogged', '>', 0);
        $pages = ['now' => Pages::of($request, $now->count(), self::TODAY, 'today'), 'unlogged' => Pages::of($request, $waiting->count(), self::UNLOGGED, 'waiting')];

        return [
            'today' => $today,
            'crew' => $crew,
            'crews' => $crews,
            'pages' => $pages,
            'now' => $now->orderBy('id')->limit($pages['now']->per)->offset($pages['now']->offset())->get(),
            'unlogged' => $waiting->orderBy('on')->orderBy('id')->limit($pages['unlogged']->per)->offset($pages['unlogged']->offset())->get(),
            'coming' => $visits()->where('on', '>', (string) $today)->orderBy('on')->limit(self::COMING)->get(),
            'past' => $visits()->where('on', '<', (string) $today)->orderByDesc('on')->limit(self::PAST)->get(),
        ];
    }
}
