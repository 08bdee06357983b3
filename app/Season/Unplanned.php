<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Models\Visit;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;

/** What is the crews' own, closes soon and stands on no visit that still holds it. */
final readonly class Unplanned
{
    /** So many and more are not counted one by one. */
    public const MANY = 30;

    /** How many close within so many days, up to thirty: more is as much as anyone needs to know. */
    public static function count(Day $today, int $days): int
    {
        return DB::query()->fromSub(self::within($today, $days)->limit(self::MANY), 'waiting')->count();
    }

    /** How many are due again because their visit was lost, or nobody logged it, up to thirty. */
    public static function dueAgain(Day $today): int
    {
        // From the visits to what is due: there are far fewer of them than of open tasks.
        $left = DB::table('visits')
            ->join('visit_tasks', 'visit_tasks.visit_id', '=', 'visits.id')
            ->where('visits.waiting', true)
            // No window is longer than a year.
            ->where('visits.on', '>=', (string) $today->minus(366))
            ->where('visit_tasks.standing', 1)
            ->whereExists(static fn ($due) => $due->from('season_tasks')
                ->whereColumn('season_tasks.plant_id', 'visit_tasks.plant_id')
                ->whereColumn('season_tasks.task', 'visit_tasks.task')
                ->whereColumn('season_tasks.season', 'visit_tasks.season')
                ->where('season_tasks.done', false)
                ->where('season_tasks.closes', '>=', $today->number))
            ->limit(self::MANY)
            ->select('visit_tasks.id');

        return DB::query()->fromSub(Visit::over($left, $today), 'due_again')->count();
    }

    /** The first to close first. */
    public static function within(Day $today, int $days): Builder
    {
        return DB::table('season_tasks')
            ->join('plants', 'plants.id', '=', 'season_tasks.plant_id')
            ->join('gardens', 'gardens.id', '=', 'season_tasks.garden_id')
            ->where('done', false)
            ->whereBetween('closes', [$today->number, $today->number + $days])
            ->whereNull('hands_off')
            ->whereNotExists(static fn ($visit) => $visit->from('visit_tasks')
                ->join('visits', 'visits.id', '=', 'visit_tasks.visit_id')
                ->whereColumn('visit_tasks.plant_id', 'season_tasks.plant_id')
                ->whereColumn('visit_tasks.task', 'season_tasks.task')
                ->whereColumn('visit_tasks.season', 'season_tasks.season')
                ->where('visit_tasks.standing', 1)
                ->where(static fn (Builder $held) => Visit::holding($held, $today)))
            ->orderBy('closes')
            ->orderBy('season_tasks.id')
            ->select(
                'season_tasks.name', 'plants.label', 'gardens.name as garden', 'season_tasks.garden_id', 'closes',
                'season_tasks.plant_id', 'season_tasks.task', 'season_tasks.season',
            );
    }
}
