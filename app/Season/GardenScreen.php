<?php

declare(strict_types=1);

namespace App\Season;

use App\Models\Garden;
use App\Models\Plant;
use App\Models\Visit;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Drawing\Strip;
use PruningHook\Core\PlantBook\PlantBook;

/** Everything the Garden screen shows: what is due, the plants' years, visits to come and past. */
final readonly class GardenScreen
{
    public function __construct(
        private DueRows $rows,
        private PlantYears $years,
        private PlantBook $book,
    ) {
    }

    /** @return array<string, mixed> */
    public function show(Garden $garden, Day $today): array
    {
        $garden->load(['crew', 'plants' => ['garden', 'workLogs', 'bloomNotes', 'visitTasks.visit'], 'visits' => ['tasks.log', 'crew']]);
        $span = PlantYears::span($today);
        [$past, $coming] = $garden->visits->partition(static fn (Visit $visit): bool => $visit->isLogged());

        return [
            'garden' => $garden,
            'today' => $today,
            'book' => $this->book,
            'rows' => $this->rows->for($garden->plants, $today),
            'months' => Strip::marks($span),
            'width' => $span->days(),
            'strips' => $garden->plants->sortBy(['bed', 'label'])->map(
                fn (Plant $plant): array => ['plant' => $plant, 'strip' => Strip::of($this->years->of($plant, $today, $span))],
            )->all(),
            'coming' => $coming->sortBy('on'),
            'past' => $past->sortByDesc('on'),
        ];
    }
}
