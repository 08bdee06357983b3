<?php

declare(strict_types=1);

namespace App\Gardens\Stems;

use PruningHook\Core\Drawing\Portrait;
use PruningHook\Core\Drawing\View;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Regrowth\Stage;

/** A survey as a plant, from the side and from above, and what the judge takes out of it. */
final readonly class SideView
{
    public function __construct(private SurveyedPlants $plants)
    {
    }

    /** @return list<Portrait> from the south and from above; none where no stem stands yet */
    public function of(BoardPage $board): array
    {
        $surveyed = $this->plants->of($board->plant, $board->survey, $board->row->season)
            ?->without($board->survey->cut);
        if ($surveyed === null || $surveyed->axes === []) {
            return [];
        }
        $plant = $surveyed->living;
        $cuts = $surveyed->cuts($board->judged);
        $stage = new Stage(
            $plant, $cuts === [] ? null : Cutting::of($plant, $cuts)->plant, null, 0, $cuts,
        );

        return [Portrait::alone($stage), Portrait::alone($stage, View::Above)];
    }
}
