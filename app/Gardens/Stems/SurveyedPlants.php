<?php

declare(strict_types=1);

namespace App\Gardens\Stems;

use App\Ground\Models\Plant;
use App\Knowledge\PlantBookFiles;
use PruningHook\Core\Drawing\SurveyedPlant;
use PruningHook\Core\Growth\GrowthKind;
use PruningHook\Core\Growth\Raising;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Structure\Survey;

/** Surveys laid into plants of their kind: what they are drawn from. */
final readonly class SurveyedPlants
{
    /** Seasons after which a plant of a kind has stems of every age. Common practice. */
    private const SEASONS = 8;

    public function __construct(private PlantBook $book, private PlantBookFiles $files)
    {
    }

    /** With every stem of its survey, those that are out too; null where none was surveyed. */
    public function of(Plant $plant, Survey $survey, int $season): ?SurveyedPlant
    {
        if ($survey->stems === []) {
            return null;
        }
        $kind = $this->book->kind($plant->kind);
        $grows = GrowthKind::of(
            $kind, $this->files->readHabits()->of($kind, $plant->form), $this->book->figures,
        );

        return SurveyedPlant::of(
            Raising::of($grows, self::SEASONS, $season - 1, "plant $plant->id"), $survey->stems,
        );
    }
}
