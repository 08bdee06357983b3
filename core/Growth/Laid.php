<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

use PruningHook\Core\Fault;

/**
 * Surveyed stems laid into a plant that was grown: each stands where it was seen, as long and as old as it was seen,
 * with the branches of the grown stem that is nearest to it in age.
 *
 * @phpstan-type Seen array{azimuth_deg: float, lean_deg: float, length_mm: int, age_years: ?int}
 */
final class Laid
{
    /** @var array<int, Axis> */
    private array $axes = [];

    private int $next = 0;

    private function __construct(private readonly LivingPlant $grown)
    {
    }

    /**
     * @param  list<Seen>  $stems
     *
     * @throws Fault where no stem was seen, or none has grown that they could be drawn by
     */
    public static function of(LivingPlant $grown, array $stems): LivingPlant
    {
        if ($stems === [] || $grown->stems() === []) {
            throw new Fault('no stem was surveyed, so there is nothing to lay in');
        }
        $laid = new self($grown);
        foreach ($stems as $seen) {
            $laid->lay($seen);
        }

        return new LivingPlant(
            $grown->kind, $grown->season, $laid->axes, $laid->next, $grown->roots,
            array_sum(array_map(static fn (Axis $axis): int => $axis->nodes(), $laid->axes)), $grown->seed,
            $grown->facesDeg, $grown->mirrored,
        );
    }

    /** @param  Seen  $seen */
    private function lay(array $seen): void
    {
        $model = $this->nearest($seen['age_years']);
        $turn = $seen['azimuth_deg'] - $model->azimuthDeg;
        $scale = $seen['length_mm'] / max(1, $model->nodes() * $model->internodeMm);
        $ids = [];
        foreach ($this->grown->axes as $id => $axis) {
            if ($id !== $model->id && ! isset($ids[$axis->parent ?? -1])) {
                continue;
            }
            $ids[$id] = $this->next++;
            $turned = $axis->turned($turn, false)->scaled($scale);
            $this->axes[$ids[$id]] = new Axis(
                $ids[$id], $axis->parent === null ? null : $ids[$axis->parent], $turned->node, $turned->azimuthDeg,
                $axis->parent === null ? $seen['lean_deg'] : $turned->leanDeg, $turned->order, $turned->internodeMm,
                $turned->grown, $turned->buds, $turned->tip, $turned->disused,
            );
        }
    }

    /** The grown stem that is nearest in age; where nobody could tell it, each in its turn. */
    private function nearest(?int $ageYears): Axis
    {
        $stems = array_values($this->grown->stems());
        if ($ageYears === null) {
            return $stems[count(array_filter(
                $this->axes, static fn (Axis $axis): bool => $axis->parent === null,
            )) % count($stems)];
        }
        $years = fn (Axis $stem): int => abs($this->grown->ageOf($stem) - $ageYears);
        usort($stems, static fn (Axis $a, Axis $b): int => [$years($a), $a->id] <=> [$years($b), $b->id]);

        return $stems[0];
    }
}
