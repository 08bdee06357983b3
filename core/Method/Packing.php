<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Plant\Circumstances;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Conditional;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\Recipe;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\Working;

/** Packs the kit for one task of one plant: tools by the thickest wood, ties by the length to be tied, and so on. */
final readonly class Packing
{
    private function __construct(private Figures $figures)
    {
    }

    public static function with(Figures $figures): self
    {
        return new self($figures);
    }

    /**
     * @param  int  $debrisLitres  as `debris` works them out
     */
    public function for(
        Plant $plant,
        Kind $kind,
        TaskRule $task,
        Recipe $recipe,
        Circumstances $circumstances,
        int $debrisLitres,
    ): Kit {
        $height = $plant->heightMm ?? $kind->typicalHeightMm;

        return new Kit(
            $this->tools(
                $this->figures->cuts($recipe, $kind, $height, $plant->state->trunkMm), $recipe,
                $this->needsLadder($height, $recipe),
            ),
            $this->people($plant, $kind, $task, $recipe),
            $this->gear($kind, $recipe),
            $this->materials($plant, $kind, $recipe, $height),
            $debrisLitres,
            $task->aftercare ?? ($recipe->feeds ? $kind->aftercare : []),
            self::followUps($kind, $task, $recipe, $circumstances),
            $this->skills($plant, $kind, $recipe),
        );
    }

    /** How many must be there at once: somebody foots the ladder, and long canes spring back. */
    public function people(Plant $plant, Kind $kind, TaskRule $task, Recipe $recipe): int
    {
        return $this->needsLadder($plant->heightMm ?? $kind->typicalHeightMm, $recipe)
            || in_array('spring-back', $kind->cautions, true) || in_array('spring-back', $task->cautions, true) ? 2 : 1;
    }

    /**
     * What the hands must be able to handle, by the height to be reached, the thickest wood and the recipe.
     *
     * @return list<string> of `ladder`, `saw` and `shears`
     */
    public function skills(Plant $plant, Kind $kind, Recipe $recipe): array
    {
        $height = $plant->heightMm ?? $kind->typicalHeightMm;

        return array_keys(
            array_filter([
                'ladder' => $this->needsLadder($height, $recipe),
                'saw' => ! $recipe->shears
                    && $this->figures->cuts($recipe, $kind, $height, $plant->state->trunkMm) >
                        $this->figures->number(Figure::LoppersTo),
                'shears' => $recipe->shears,
            ]),
        );
    }

    private function needsLadder(int $heightMm, Recipe $recipe): bool
    {
        return ! $recipe->low && $heightMm > $this->figures->number(Figure::Reach);
    }

    /**
     * Loose cuttings: the room the plant takes, the share of it that comes off, and how loosely cuttings lie.
     *
     * @param  list<Amount>  $amounts
     * @return array{int, Working} litres, and how they came about
     */
    public function debris(Plant $plant, Kind $kind, Recipe $recipe, array $amounts, int $capPercent): array
    {
        $height = ($plant->heightMm ?? $kind->typicalHeightMm) / 1000;
        $spread = ($plant->spreadMm ?? (int) ($height * 600)) / 1000;
        $share = self::share($amounts, $capPercent, $height * 1000);
        $loose = $this->figures->number(Figure::CuttingsPerRoom) / 100;
        if ($plant->runMm !== null && $recipe->shears) {
            $face = $plant->face((int) ($height * 1000), $this->figures->number(Figure::HedgeTop));
            $each = $this->figures->number(Figure::HedgeCuttings);
            $litres = (int) ceil($face * $each);

            return [
                $litres,
                new Working(
                    'debris', 'two faces and the top x cuttings of a square metre',
                    sprintf('%.1f square metres x %d litres', $face, $each), "$litres litres", 'common practice',
                ),
            ];
        }
        // A plant on a wall is as deep as its support, and no cube.
        $depth = $kind->has('tied') ? min($spread, $this->figures->number(Figure::TrainedDepth) / 1000) : $spread;
        $litres = (int) ceil($plant->count * $height * $spread * $depth * $share / 100 * $loose * 1000);

        return [
            $litres,
            new Working(
                'debris',
                'plants x height x spread x depth x share taken x looseness',
                sprintf(
                    '%d x %.2f x %.2f x %.2f m x %d %% x %.2f', $plant->count, $height, $spread, $depth, $share,
                    $loose,
                ),
                "$litres litres",
                'common practice',
            ),
        ];
    }

    /** @param  list<Amount>  $amounts */
    private static function share(array $amounts, int $capPercent, float $heightMm): int
    {
        foreach ($amounts as $amount) {
            if ($amount->unit === '%') {
                return $amount->target;
            }
            if ($amount->effect === Effect::CutHeight && $heightMm > 0) {
                return (int) max(0, round(100 * (1 - $amount->target / $heightMm)));
            }
            if ($amount->effect === Effect::OldStemsOut) {
                return min(33, $capPercent);
            }
        }

        // Half of what may go, where nothing says how much will.
        return intdiv($capPercent, 2);
    }

    /** @return list<string> */
    private function tools(int $thickest, Recipe $recipe, bool $ladder): array
    {
        $tools = $recipe->shears ? ['shears', 'line and pegs'] : ['bypass secateurs'];
        if (! $recipe->shears && $thickest > $this->figures->number(Figure::SecateursTo)) {
            $tools[] = sprintf(
                'loppers (wood to about %d mm)',
                min($thickest, $this->figures->number(Figure::LoppersTo)),
            );
        }
        if (! $recipe->shears && $thickest > $this->figures->number(Figure::LoppersTo)) {
            $tools[] = sprintf('pruning saw (wood to about %d mm)', $thickest);
        }

        return [
            ...$tools,
            ...$ladder ? ['ladder'] : [],
            'disinfectant: 70 % alcohol, or bleach 1:9, fresh and mixed with nothing',
            'tarpaulin and bags',
        ];
    }

    /** @return list<string> */
    private function gear(Kind $kind, Recipe $recipe): array
    {
        $gear = [
            'eye protection',
            $kind->has('thorny') ? 'thorn-proof gloves and sleeves' : 'gloves',
            ...$recipe->gear,
        ];
        foreach (
            [
                'irritant-sap' => 'long sleeves against the sap',
                'irritant-hairs' => 'goggles and a dust mask',
                'sharp-leaves' => 'long sleeves',
            ] as $caution => $needs
        ) {
            if (in_array($caution, $kind->cautions, true)) {
                $gear[] = $needs;
            }
        }

        return $gear;
    }

    /** @return list<string> */
    private function materials(Plant $plant, Kind $kind, Recipe $recipe, int $heightMm): array
    {
        if (! $kind->has('tied') && ! $recipe->ties) {
            return [];
        }
        $length = max($heightMm, $plant->spreadMm ?? 0, $plant->runMm ?? 0);
        $ties = $plant->count * (int) ceil($length / $this->figures->number(Figure::TieSpacing));

        return [
            sprintf(
                '%d soft ties, one about every %d cm, in a figure of eight on the outside of the wire', $ties,
                intdiv($this->figures->number(Figure::TieSpacing), 10),
            ),
        ];
    }

    /** @return list<array{after_days: ?int, what: string}> */
    private static function followUps(Kind $kind, TaskRule $task, Recipe $recipe, Circumstances $circumstances): array
    {
        $follow = [];
        foreach (Conditional::holding($recipe->followUps, $circumstances) as $each) {
            // What hangs on a finding is said once it is found.
            if (! $each->ifDiseased) {
                $follow[] = ['after_days' => $each->afterDays, 'what' => $each->says];
            }
        }
        if ($task->everyDays !== null) {
            $follow[] = [
                'after_days' => $task->everyDays,
                'what' => 'Once more, and so on as long as its days are open',
            ];
        }
        if ($task->pair !== null) {
            $follow[] = [
                'after_days' => null,
                'what' => 'The other pass: '.lcfirst($kind->tasks[$task->pair->task]->name ?? $task->pair->task),
            ];
        }

        return $follow;
    }
}
