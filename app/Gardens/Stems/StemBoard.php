<?php

declare(strict_types=1);

namespace App\Gardens\Stems;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Plant;
use App\Ground\Models\StemSurvey;
use App\Ground\Models\User;
use App\Ground\Models\VisitTask;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Drawing\Bowl;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Structure\Judgement;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemAims;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\StemJudge;
use PruningHook\Core\Structure\Survey;
use PruningHook\Core\Structure\SurveyDay;

/**
 * Everything Survey and judge shows: the bowl from above, the stems, what is judged of them, and the one in hand.
 *
 * @phpstan-import-type State from StemSurvey
 */
final readonly class StemBoard
{
    /** Sizes a gloved hand can name, in mm. */
    public const THICKNESS = ['pencil' => 7, 'finger' => 15, 'thumb' => 25, 'broomstick' => 32, 'wrist' => 60];

    /** Leans, in degrees from the upright. */
    public const LEAN = ['upright' => 5, 'a little' => 20, 'half' => 35, 'far' => 55, 'flat' => 80];

    public const AGE = [
        'this year\'s' => 1,
        'last year\'s' => 2,
        'third year' => 3,
        'old' => 5,
        'very old' => 9,
        'not known' => null,
    ];

    /** The ways it can go, for taps without a picture. */
    public const WAYS = [
        'N' => 0,
        'NE' => 45,
        'E' => 90,
        'SE' => 135,
        'S' => 180,
        'SW' => 225,
        'W' => 270,
        'NW' => 315,
    ];

    public function __construct(
        private PlantBook $book,
        private CorePlants $bridge,
        private SurveyedPlants $plants,
    ) {
    }

    public function season(Plant $plant, Day $today): int
    {
        return SiteYear::seasonOn($this->bridge->site($plant->garden), $today);
    }

    public function survey(Plant $plant, Day $today): StemSurvey
    {
        return StemSurvey::of($plant, $this->season($plant, $today));
    }

    /** The length a stem has until somebody says otherwise: the plant's own height. */
    public function usualLength(Plant $plant): int
    {
        return $plant->height_mm ?? $this->book->kind($plant->kind)->typicalHeightMm;
    }

    public function show(Plant $plant, StemSurvey $row, ?string $inHand, Day $today, ?User $by): BoardPage
    {
        $survey = self::core($row->state);
        $judged = $this->judge($plant, $row, $today);
        $stems = [];
        foreach ($survey->stems as $stem) {
            $stems[$stem->ref] = $stem;
        }

        return new BoardPage(
            plant: $plant,
            kind: $this->book->kind($plant->kind),
            row: $row,
            survey: $survey,
            judged: $judged,
            bowl: Bowl::of($survey, $judged, $this->plants->of($plant, $survey, $row->season)),
            hand: $inHand === null ? null : $stems[$inHand] ?? null,
            inWords: $this->words($judged),
            tasks: VisitTask::query()->with('visit')->where('plant_id', $plant->id)->doesntHave('log')->get()
                ->filter(static fn (VisitTask $task): bool => $task->isCut() && ! $task->visit->on->isBefore($today))
                ->values(),
            undo: SurveyTaps::canTakeBack($row, $by),
            last: $survey->stems === [] ? $row->ofSeasonBefore()?->season : null,
        );
    }

    public function judge(Plant $plant, StemSurvey $row, Day $today): Judgement
    {
        $kind = $this->book->kind($plant->kind);
        $aims = StemAims::with($this->book);

        $aim = $aims->for(
            $kind,
            $this->bridge->practice($plant->garden)->forPlant($plant->practice),
            $this->bridge->plant($plant, $today)->aims($this->season($plant, $today), $this->book->keeping),
            $plant->grafted,
            $row->state['keep'],
            $row->state['budget'],
        );
        $day = $row->surveyed_on ?? $today;
        $year = $this->bridge->years($plant->garden)->holding($day);
        $read = SurveyDay::of(self::core($row->state), $aim, $kind, $year, $day);

        return StemJudge::with($aims->clearance($kind))->judge($read->survey, $read->aim, $read->told);
    }

    /** @param  State  $state */
    public static function core(array $state): Survey
    {
        return Survey::of(
            array_map(
                static fn (array $stem): Stem => new Stem(
                    $stem['ref'], $stem['azimuth_deg'], $stem['lean_deg'], $stem['length_mm'], $stem['base_mm'],
                    $stem['age_years'], array_map(StemFault::from(...), $stem['faults']),
                ),
                $state['stems'],
            ),
            $state['cut'],
            $state['word'],
        );
    }

    /**
     * Old and young stems that stand, as the plant's row has them.
     *
     * @param  State  $state
     * @return array{stems_old: int, stems_young: int}
     */
    public static function counts(array $state, StemAim $aim): array
    {
        $counts = self::core($state)->counts($aim);

        return ['stems_old' => $counts->old, 'stems_young' => $counts->young];
    }

    private function words(Judgement $judged): string
    {
        $number = $judged->aim->keep === null ? '' : sprintf(', %d wanted', $judged->aim->keep);

        return sprintf(
            'For %s%s; %s %% of the sound wood goes, up to %d %% may (%s).', $judged->aim->plan->inWords(), $number,
            round($judged->sharePercent), $judged->aim->budgetPercent, $judged->aim->source,
        );
    }
}
