<?php

declare(strict_types=1);

namespace App\Field;

use App\Exercise\SignedOff;
use App\Field\Record\SeasonBudget;
use App\Field\Record\SettledEntries;
use App\Gardens\Plants\PlantDrawing;
use App\Gardens\Plants\PlantForm;
use App\Gardens\Stems\CutPlan;
use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Entry;
use App\Ground\Models\Role;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Ground\Models\WorkLog;
use App\Season\Due\DueKeeper;
use App\Season\Weather\Outlook;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\Sun;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\PlantBook\PlantBook;
use stdClass;

/** What the sheet of a visit shows. */
final readonly class SheetScreen
{
    /** The follow-up that is needed where no rain has come. */
    private const WATER_IN = 'follow-water-in';

    /** What a sheet shows of a visit beside its own row. */
    private const WITH = [
        'garden', 'crew', 'entries.saidBy', 'tasks.plant.workLogs', 'tasks.plant.bloomNotes', 'tasks.log.loggedBy',
        'tasks.visit', 'tasks.entries.saidBy', 'tasks.photos',
    ];

    public function __construct(
        private CorePlants $bridge,
        private Outlook $outlook,
        private PlantForm $form,
        private CutPlan $plans,
        private PlantDrawing $drawing,
        private SeasonBudget $budgets,
        private PlantBook $book,
        private DueKeeper $keeper,
        private SignedOff $signedOff,
    ) {
    }

    public function show(Visit $visit, Day $today): SheetPage
    {
        $visit->load(self::WITH);
        $visit->tasks->each(static fn (VisitTask $task) => $task->plant->setRelation('garden', $visit->garden));
        $site = $this->bridge->site($visit->garden);
        $sun = Sun::on($visit->on, $site->latitude, $site->longitude);
        $people = $visit->crew_id === null ? null : $this->people($visit->crew_id);
        $again = $this->again($visit, $today);
        $signed = $visit->crew_id === null ? [] : $this->signedOff->of($visit->crew_id, array_values($visit->tasks->map(
            static fn (VisitTask $task): string => (string) $task->prescribed->recipe,
        )->all()));

        return new SheetPage(
            visit: $visit,
            sun: $sun,
            weather: $this->outlook->on($site, $visit->on, $today),
            advice: $this->outlook->advice($site, $visit->on, $today),
            sheets: array_values($visit->tasks->map(fn (VisitTask $task): SheetTask => new SheetTask(
                $task,
                $plan = $this->plans->drawn($task),
                $plan !== null ? null : $this->drawing->ofTask(
                    $task->plant, $task->task, 'For '.lcfirst($task->prescribed->name), $today,
                ),
                SettledEntries::of($task->entries),
                $this->budgets->before($task)?->leftPercent(),
                $again[$task->id],
                $this->form->taps($task->plant),
                self::asks($task, $signed[(string) $task->prescribed->recipe] ?? null),
                self::left($task),
                $task->task === self::WATER_IN ? $this->rain($task, $site, $today) : null,
            ))->all()),
            tooLong: $people !== null && $visit->minutes() > $people * $sun->daylight ? $people : null,
            hazards: $this->hazards($visit),
            tools: array_values(array_unique(array_merge(...array_values($visit->tasks->map(
                static fn (VisitTask $task): array => $task->prescribed->kit->tools ?? [],
            )->all())))),
            words: array_column(array_map(
                static fn (Entry $entry): array => [$entry->kind->value, $entry], SettledEntries::of($visit->entries),
            ), 1, 0),
        );
    }

    /**
     * @param  ?list<string>  $signed  who is signed off for its method; null where that is not asked
     * @return list<string>
     */
    private static function asks(VisitTask $task, ?array $signed): array
    {
        return [
            ...$task->prescribed->kit?->asks() ?? [], ...$signed === null ? [] : [SignedOff::inWords($signed)],
        ];
    }

    /** In mm since it was last cut; null where the record no longer says when that was. */
    private function rain(VisitTask $task, Site $site, Day $today): ?float
    {
        $cut = $task->plant->workLogs
            ->filter(static fn (WorkLog $log): bool => $log->outcome->isSomething()
                && $log->recipe !== LoggedWork::FOLLOW_UP)
            ->sortByDesc(static fn (WorkLog $log): int => $log->on->number)->first();

        return $cut === null ? null : $this->outlook->rain($site, $cut->on, $today);
    }

    /** @return list<string> what the plant's record of the season before left for this one */
    private static function left(VisitTask $task): array
    {
        return array_values($task->plant->workLogs
            ->filter(static fn (WorkLog $log): bool => $log->season === $task->season - 1)
            ->map(static fn (WorkLog $log): string => $log->leftInWords())
            ->filter(static fn (string $left): bool => $left !== '')->unique()->all());
    }

    /** @return list<string> what to look out for in the garden, each with the plants it is said of */
    private function hazards(Visit $visit): array
    {
        $plants = [];
        foreach ($visit->tasks as $task) {
            foreach ($task->plant->hazards as $hazard) {
                $plants[$hazard][$task->plant->label] = true;
            }
        }

        return array_map(
            fn (string $hazard, array $labels): string => implode(', ', array_keys($labels)).': '
                .lcfirst($this->book->cautions[$hazard] ?? $hazard),
            array_keys($plants), $plants,
        );
    }

    /**
     * When else each task could be done, for whoever must stop.
     *
     * @return array<int, string> by task
     */
    private function again(Visit $visit, Day $today): array
    {
        $this->keeper->ensure([$visit->garden_id]);
        $rows = DB::table('season_tasks')
            ->whereIn('plant_id', $visit->tasks->pluck('plant_id')->unique()->all())
            ->get(['plant_id', 'name', 'opens', 'done'])
            // Told apart here, so that the plants' own index is gone by and not that of all days.
            ->filter(static fn (stdClass $row): bool => ! (bool) $row->done && (int) $row->opens > $today->number)
            ->sortBy('opens')
            ->groupBy('plant_id');
        $again = [];
        foreach ($visit->tasks as $task) {
            $closes = $task->prescribed->window->closes;
            $next = $rows->get($task->plant_id)?->first();
            $again[$task->id] = implode(' ', array_filter([
                $closes->isAfter($today)
                    ? "It can still be done until {$closes->inWords()}."
                    : 'Its days end today.',
                $next === null ? '' : sprintf(
                    'After that comes: %s, from %s.', lcfirst((string) $next->name),
                    Day::fromNumber((int) $next->opens)->inWords(),
                ),
            ]));
        }

        return $again;
    }

    /** Leads and hands of a crew; one at least, or nobody would come. */
    private function people(int $crew): int
    {
        return max(1, User::query()->where('crew_id', $crew)->whereIn('role', [Role::Lead, Role::Hand])->count());
    }
}
