<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Gardens\Stems\StemBoard;
use App\Ground\Models\Plant;
use App\Ground\Models\StemSurvey;
use App\Ground\Support\Today;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Structure\Stem;

/** Which stems the judge takes out of a plant that was surveyed this season: its pictures show those and no others. */
final readonly class JudgedStems
{
    public function __construct(private StemBoard $board)
    {
    }

    /**
     * In the likeness the survey was laid into.
     *
     * @return ?list<int> axes, in the order of the cuts; null where none was surveyed this season
     */
    public function axes(Plant $row, int $season, LivingPlant $living): ?array
    {
        // Surveyed stems are laid in in their order.
        $stems = $living->fromTheBase();
        $places = $this->of($row, $season);

        return $places === null ? null : array_map(static fn (int $place): int => $stems[$place], $places);
    }

    /** @return ?list<int> places among the stems that stand, in the order of the cuts; null where none was surveyed */
    public function of(Plant $row, int $season): ?array
    {
        $query = StemSurvey::query()->where('plant_id', $row->id);
        $survey = $row->exists ? $query->where('season', $season)->first() : null;
        if ($survey === null) {
            return null;
        }
        $surveyed = StemBoard::core($survey->state);
        $places = array_flip(array_map(static fn (Stem $stem): string => $stem->ref, array_values(array_filter(
            $surveyed->stems, $surveyed->stands(...),
        ))));
        $go = [];
        foreach ($places === [] ? [] : $this->board->judge($row, $survey, Today::day())->cuts as $cut) {
            if (isset($places[$cut->stem->ref])) {
                $go[] = $places[$cut->stem->ref];
            }
        }

        return $places === [] ? null : $go;
    }
}
