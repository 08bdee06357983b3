<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

use PruningHook\Core\PlantBook\FloweringWood;

/**
 * What a plant loses of itself once a season is over: tips that ended in a flower, tips that the winter kills, canes
 * that have fruited, and inner twigs that stand in the shade for too long.
 */
final readonly class Losses
{
    private function __construct(private LivingPlant $plant)
    {
    }

    public static function after(LivingPlant $plant): LivingPlant
    {
        $axes = (new self($plant))->left();
        $left = $plant->having($axes);

        return new LivingPlant(
            $left->kind, $left->season, $axes, $left->next, $left->roots, $left->living(),
            $left->seed, $left->facesDeg, $left->mirrored, $left->thicknessFactors,
        );
    }

    /** @return array<int, Axis> */
    private function left(): array
    {
        $height = $this->plant->heightMm();
        $places = $this->plant->places();
        $bearing = $this->bearing();
        $axes = [];
        $dead = [];
        foreach ($this->plant->axes as $id => $axis) {
            $isDead = isset($dead[$axis->parent ?? -1]) || $this->isOver($axis)
                || (! isset($bearing[$id]) && $this->isShaded($axis, $places[$id], $height));
            if ($isDead) {
                $dead[$id] = true;
                $axes[$id] = $axis->deadFrom(0);
            } else {
                $axes[$id] = $this->wintered($this->flowered($axis));
            }
        }

        return $axes;
    }

    /** @return array<int, true> what bears something that lives, by id: it is kept alive by that */
    private function bearing(): array
    {
        $bearing = [];
        foreach ($this->plant->axes as $axis) {
            if ($axis->parent !== null && ! $axis->isDead()) {
                $bearing[$axis->parent] = true;
            }
        }

        return $bearing;
    }

    /** What dies down each winter, and canes in their second. */
    private function isOver(Axis $axis): bool
    {
        $habit = $this->plant->kind->habit;

        return $axis->parent === null && ($habit->turn === 1
            || ($habit->twoYear && $axis->born() < $this->plant->season));
    }

    private function isShaded(Axis $axis, Place $place, int $height): bool
    {
        $habit = $this->plant->kind->habit;
        if ($axis->parent === null || $this->plant->ageOf($axis) <= $habit->shade || $axis->isDead()) {
            return false;
        }
        // What grows well has found its light.
        [$from, $to] = $axis->ofSeason($this->plant->season);

        $shade = $habit->figures->shadedBelow * $height;

        return $to - $from < 3
            && $this->plant->pointOf($place, $axis->nodes() - 1)[2] < $shade;
    }

    /** A shoot that ended in flowers does not go on from its tip. */
    private function flowered(Axis $axis): Axis
    {
        [$from, $to] = $axis->ofSeason($this->plant->season);

        return $this->plant->kind->wood === FloweringWood::New && $to > $from && $axis->tip === Axis::LIVE
            ? $axis->tipped(Axis::FLOWERED)
            : $axis;
    }

    private function wintered(Axis $axis): Axis
    {
        $dieback = $this->plant->kind->habit->dieback;
        [$from, $to] = $axis->ofSeason($this->plant->season);
        if ($dieback <= 0 || $to !== $axis->nodes() || $to === $from) {
            return $axis;
        }
        $lost = (int) floor(
            ($to - $from) * $dieback / 100
                + $this->plant->chance("winter {$this->plant->season} $axis->id") * 0.99,
        );

        return $lost > 0 && $lost < $to - $from
            ? $axis->deadFrom($to - $lost)
            : $axis;
    }
}
