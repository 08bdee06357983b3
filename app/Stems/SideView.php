<?php

declare(strict_types=1);

namespace App\Stems;

use App\PlantBook\PlantBookFiles;
use PruningHook\Core\Drawing\Portrait;
use PruningHook\Core\Drawing\View;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Growth\GrowthKind;
use PruningHook\Core\Growth\Laid;
use PruningHook\Core\Growth\Raising;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Regrowth\Stage;
use PruningHook\Core\Structure\Stem;

/**
 * A survey as a plant, from the side and from above: its stems laid into a plant of the kind, and what the judge takes
 * out of them.
 */
final readonly class SideView
{
    /** Seasons after which a plant of a kind has stems of every age. Common practice. */
    private const SEASONS = 8;

    public function __construct(private PlantBook $book, private PlantBookFiles $files)
    {
    }

    /** @return list<Portrait> from the south and from above; none where no stem stands yet */
    public function of(BoardPage $board): array
    {
        $standing = array_values(array_filter(
            $board->survey->stems, static fn (Stem $stem): bool => ! in_array($stem->ref, $board->survey->cut, true),
        ));
        if ($standing === []) {
            return [];
        }
        $grows = GrowthKind::of(
            $board->kind, $this->files->readHabits()->of($board->kind, $board->plant->form), $this->book->figures,
        );
        $plant = Laid::of(
            Raising::of($grows, self::SEASONS, $board->row->season - 1, "plant {$board->plant->id}"),
            array_map(static fn (Stem $stem): array => [
                'azimuth_deg' => $stem->azimuthDeg, 'lean_deg' => $stem->leanDeg, 'length_mm' => $stem->lengthMm,
                'age_years' => $stem->ageYears,
            ], $standing),
        );
        // They were laid in the order they were surveyed in.
        $axes = array_combine(
            array_map(static fn (Stem $stem): string => $stem->ref, $standing), array_keys(array_filter(
                $plant->axes, static fn ($axis): bool => $axis->parent === null,
            )),
        );
        $cuts = [];
        foreach ($board->judged->cuts as $cut) {
            if (isset($axes[$cut->stem->ref])) {
                $cuts[] = Cut::thin($axes[$cut->stem->ref]);
            }
        }

        $stage = new Stage($plant, $cuts === [] ? null : Cutting::of($plant, $cuts)->plant, null, 0, $cuts);

        return [Portrait::alone($stage), Portrait::alone($stage, View::Above)];
    }
}
