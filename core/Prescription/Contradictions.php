<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\PlantBook\FloweringWood;
use PruningHook\Core\PlantBook\Kind;

/** Facts of one plant that cannot all be true. They are told, never guessed away. */
final readonly class Contradictions
{
    /** @return array<string, string> what is wrong, by the fact that most likely is: `aim`, `flowering_height` or `grafted` */
    public static function of(Kind $kind, ?string $aim, ?int $floweringHeightMm, ?bool $grafted): array
    {
        $told = [];
        if ($aim !== null && isset($kind->notFor[$aim])) {
            $told['aim'] = $kind->notFor[$aim];
        }
        if ($floweringHeightMm !== null && $kind->wood === FloweringWood::None) {
            $told['flowering_height'] = sprintf('%s %s: it has no flowering height', $kind->name, $kind->wood->inWords());
        }
        if ($grafted === true && in_array($kind->habit, ['cane', 'grass', 'perennial'], true)) {
            $told['grafted'] = sprintf('%s grows on its own roots: nothing of its sort is grafted', $kind->name);
        }

        return $told;
    }
}
