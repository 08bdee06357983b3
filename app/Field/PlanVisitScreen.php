<?php

declare(strict_types=1);

namespace App\Field;

use App\Exercise\SignedOff;
use App\Ground\Models\Garden;
use App\Season\Due\Basis;
use App\Season\Due\DueKeeper;
use App\Season\DueRow;
use App\Season\KeptTasks;
use App\Season\TaskChoice;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Fault;
use PruningHook\Core\Planning\CommonWindow;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\SeasonTask;

/** What the planning page shows: what could be done, what is chosen, and the days the chosen share. */
final readonly class PlanVisitScreen
{
    /** Tasks that are offered at once: a park has thousands. */
    private const OFFERED = 300;

    public function __construct(
        private DueKeeper $keeper,
        private KeptTasks $tasks,
        private PlantBook $book,
        private SignedOff $signedOff,
    ) {
    }

    public function show(Garden $garden, Request $request, Day $today): PlanVisitPage
    {
        $this->keeper->ensure([$garden->id]);
        /** @var list<string> $chosen */
        $chosen = array_values(
            array_filter((array) $request->old('tasks', $request->input('tasks', [])), is_string(...)),
        );
        [$rows, $isLong] = $this->offered($garden, $today, $chosen);
        // What is counted is what stands ticked in the list, and nothing beside it.
        $tasks = array_values(array_map(
            static fn (DueRow $row): SeasonTask => $row->due->task,
            array_filter($rows, static fn (DueRow $row): bool => $row->due->task->handsOff === null
                && in_array((string) $row->choice(), $chosen, true)),
        ));
        $common = CommonWindow::of(...array_map(static fn (SeasonTask $task): Window => $task->window, $tasks));

        return new PlanVisitPage(
            garden: $garden,
            today: $today,
            rows: $rows,
            chosen: $chosen,
            tasks: $tasks,
            common: $common,
            minutes: array_sum(array_map(static fn (SeasonTask $task): int => $task->minutes, $tasks)),
            suggested: self::suggested($garden, $common, $today),
            on: $this->day($request) ?? self::suggested($garden, $common, $today),
            watched: $this->watched($garden, $tasks),
            isLong: $isLong,
        );
    }

    /**
     * What nobody of the garden's crew is signed off for yet.
     *
     * @param  list<SeasonTask>  $tasks
     * @return list<string> methods in words
     */
    private function watched(Garden $garden, array $tasks): array
    {
        $signed = $garden->crew_id === null ? [] : $this->signedOff->of(
            $garden->crew_id, array_map(static fn (SeasonTask $task): string => $task->methodKey, $tasks),
        );

        return array_map(
            fn (string $method): string => lcfirst($this->book->recipes->get($method)->name),
            array_keys(array_filter($signed, static fn (array $names): bool => $names === [])),
        );
    }

    /**
     * What can be planned here: all that is open within half a year, and what was chosen elsewhere, however far off.
     *
     * @param  list<string>  $chosen
     * @return array{list<DueRow>, bool} by opening; and whether there are more than are offered
     */
    private function offered(Garden $garden, Day $today, array $chosen): array
    {
        $choices = self::choices($chosen);
        $open = static fn (): Builder => DB::table('season_tasks')->where('garden_id', $garden->id)
            ->where('done', false)->where('closes', '>=', $today->number - DueTask::MISSED_DAYS);
        $ids = $choices === [] ? [] : $open()->where(static function (Builder $any) use ($choices): void {
            foreach ($choices as $choice) {
                $any->orWhere(static fn (Builder $one): Builder => $one->where('plant_id', $choice->plant)
                    ->where('task', $choice->task)->where('season', $choice->season));
            }
        })->pluck('id')->all();
        // Written as a sum, so that the garden's own index is gone by and not that of all days.
        $next = $open()->whereRaw('opens + 0 <= ?', [$today->number + Basis::PLANNED_AHEAD])
            ->orderByRaw('opens + 0')->orderBy('id')->limit(self::OFFERED)->pluck('id')->all();
        $rows = $this->tasks->rows(
            DB::table('season_tasks')->whereIn('id', [...$ids, ...$next])->orderBy('opens')->orderBy('id'), $today,
        );

        return [
            array_values(array_filter($rows, static fn (DueRow $row): bool => $row->visit === null)),
            count($next) === self::OFFERED,
        ];
    }

    /**
     * A link to what is no task still opens the page, without it.
     *
     * @param  list<string>  $chosen
     * @return list<TaskChoice>
     */
    private static function choices(array $chosen): array
    {
        $choices = [];
        foreach ($chosen as $text) {
            try {
                $choices[] = TaskChoice::parse($text);
            } catch (Fault) {
                continue;
            }
        }

        return $choices;
    }

    private function day(Request $request): ?Day
    {
        $on = $request->old('on', $request->input('on'));
        try {
            return is_string($on) && $on !== '' ? Day::parse($on) : null;
        } catch (Fault) {
            return null;
        }
    }

    /**
     * The first best day from today on that the client asked for, or that nobody is kept out on; else the first open
     * one.
     */
    private static function suggested(Garden $garden, ?CommonWindow $common, Day $today): Day
    {
        if ($common === null) {
            return $today;
        }
        $isBest = $common->bestFrom !== null && $common->bestTo !== null && ! $common->bestTo->isBefore($today);
        $first = Day::latest($today, $isBest ? $common->bestFrom : $common->from);
        $last = $isBest ? $common->bestTo : $common->to;
        foreach ([array_diff($garden->wished_days, $garden->closed_days), array_diff(range(1, 7),
            $garden->closed_days)] as $weekdays) {
            for ($day = $first; ! $day->isAfter($last) && $first->daysUntil($day) < 7; $day = $day->plus(1)) {
                if (in_array($day->weekday(), $weekdays, true)) {
                    return $day;
                }
            }
        }

        return $first;
    }
}
