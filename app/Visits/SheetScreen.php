<?php

declare(strict_types=1);

namespace App\Visits;

use App\Bridge\CorePlants;
use App\Models\Role;
use App\Models\User;
use App\Models\Visit;
use App\Models\VisitTask;
use App\Plants\PlantForm;
use App\Stems\CutPlan;
use App\Weather\Outlook;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Sun;

/** What the sheet of a visit shows. */
final readonly class SheetScreen
{
    public function __construct(
        private CorePlants $bridge,
        private Outlook $outlook,
        private PlantForm $form,
        private CutPlan $plans,
    ) {
    }

    public function show(Visit $visit, Day $today): SheetPage
    {
        $visit->load(['garden', 'crew', 'tasks' => ['plant', 'log', 'visit']]);
        $site = $this->bridge->site($visit->garden);
        $sun = Sun::on($visit->on, $site->latitude, $site->longitude);
        $people = $visit->crew_id === null ? null : $this->people($visit->crew_id);

        return new SheetPage(
            visit: $visit,
            says: $visit->tasks->mapWithKeys(
                fn (VisitTask $task): array => [$task->plant_id => $this->form->taps($task->plant)],
            )->all(),
            sun: $sun,
            weather: $this->outlook->on($site, $visit->on, $today),
            advice: $this->outlook->advice($site, $visit->on, $today),
            plans: $visit->tasks->mapWithKeys(
                fn (VisitTask $task): array => [$task->id => $this->plans->drawn($task)],
            )->all(),
            tooLong: $people !== null && $visit->minutes() > $people * $sun->daylight ? $people : null,
        );
    }

    /** Leads and hands of a crew; one at least, or nobody would come. */
    private function people(int $crew): int
    {
        return max(1, User::query()->where('crew_id', $crew)->whereIn('role', [Role::Lead, Role::Hand])->count());
    }
}
