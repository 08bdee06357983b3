<?php

declare(strict_types=1);

namespace App\Gardens\Stems;

use App\Ground\Models\Plant;
use App\Ground\Models\StemSurvey;
use App\Ground\Models\VisitTask;
use App\Ground\Support\Page;
use Illuminate\Database\Eloquent\Collection;
use PruningHook\Core\Drawing\Bowl;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Structure\Judgement;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\Survey;

/** The board on which a plant's stems are told and judged. */
final readonly class BoardPage extends Page
{
    /**
     * @param  ?Stem  $hand  the stem in hand
     * @param  Collection<int, VisitTask>  $tasks  whose sheet may take the cut plan
     * @param  bool  $undo  whether there is a tap of theirs to take back
     * @param  ?int  $last  the season whose stems it could begin with; null where there is none, or it has begun
     */
    public function __construct(
        public Plant $plant,
        public Kind $kind,
        public StemSurvey $row,
        public Survey $survey,
        public Judgement $judged,
        public Bowl $bowl,
        public ?Stem $hand,
        public string $inWords,
        public Collection $tasks,
        public bool $undo,
        public ?int $last,
    ) {
    }
}
