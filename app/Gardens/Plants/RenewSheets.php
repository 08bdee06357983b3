<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Plant;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use Illuminate\Database\Eloquent\Builder;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;

/** Prescribes anew what stands on the sheets of coming visits for a plant of which something else is known now. */
final readonly class RenewSheets
{
    public function __construct(
        private CorePlants $bridge,
        private PlantBook $book,
    ) {
    }

    /** What is logged stays as it was; a task that no longer holds stays on its sheet for the lead to take off. */
    public function of(Plant $plant, Day $today): void
    {
        $tasks = VisitTask::query()->where('plant_id', $plant->id)->doesntHave('log')
            ->whereHas('visit', static fn (Builder $visit) => $visit->where('on', '>=', (string) $today))->get();
        if ($tasks->isEmpty() || ! $this->book->has($plant->kind)) {
            return;
        }
        $plant = $plant->load(['garden', 'workLogs', 'bloomNotes']);
        $years = $this->bridge->years($plant->garden);
        $core = $this->bridge->plant($plant, $today);
        foreach ($tasks as $row) {
            $task = Prescriber::with($this->book)->prescribe(
                $core,
                $years->season($row->season),
                $this->bridge->practice($plant->garden),
            )->task($row->task);
            if ($task !== null) {
                $row->update(['prescribed' => $task->snapshot(), 'minutes' => $task->minutes]);
                Visit::recount($row->visit_id);
            }
        }
    }
}
