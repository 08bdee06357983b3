<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

use PruningHook\Core\Fault;

/**
 * Surveyed stems laid into a plant that was grown: each stands where it was seen, as long and as old as it was seen,
 * with the branches of the grown stem that is nearest to it in age.
 *
 * @phpstan-type Seen array{azimuth_deg: float, lean_deg: float, length_mm: int, age_years: ?int,
 *     from_azimuth_deg?: ?float, base_mm?: int}
 */
final class FittedSurvey
{
    private const LEVEL_DEG = 90.0;

    /** A stem is measured to its end: what grows from it reaches so much farther at the most. Common practice. */
    private const BEYOND = 1.15;

    /** @var array<int, Axis> */
    private array $axes = [];

    private int $next = 0;

    /** @var array<int, float> how far each axis of the grown plant reaches from its foot with what grows from it, mm */
    private array $reach = [];

    private function __construct(private readonly LivingPlant $grown)
    {
        foreach (array_reverse($grown->axes, true) as $id => $axis) {
            $this->reach[$id] = max($this->reach[$id] ?? 0.0, $axis->nodes() * $axis->internodeMm);
            if ($axis->parent !== null) {
                $this->reach[$axis->parent] = max(
                    $this->reach[$axis->parent] ?? 0.0, $this->foot($axis) + $this->reach[$id],
                );
            }
        }
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
        $feet = [];
        foreach ($stems as $seen) {
            if (isset($seen['base_mm'])) {
                $feet[$laid->next] = $seen['base_mm'];
            }
            $laid->lay($seen);
        }

        return $laid->plant($feet);
    }

    /** @param  array<int, int>  $feet  how thick stems were measured at their foot, in mm, by axis */
    private function plant(array $feet): LivingPlant
    {
        $model = $this->having([]);
        $pipes = $model->pipes();
        $thicknessFactors = [];
        foreach ($feet as $id => $mm) {
            $thicknessFactors[$id] = $mm / max(0.1, $model->thickAt($this->axes[$id], $pipes[$id]));
        }

        return $thicknessFactors === [] ? $model : $this->having($thicknessFactors);
    }

    /** @param  array<int, float>  $thicknessFactors */
    private function having(array $thicknessFactors): LivingPlant
    {
        return new LivingPlant(
            $this->grown->kind, $this->grown->season, $this->axes, $this->next, $this->grown->roots,
            array_sum(array_map(static fn (Axis $axis): int => $axis->nodes(), $this->axes)), $this->grown->seed,
            $this->grown->facesDeg, $this->grown->mirrored, $thicknessFactors,
        );
    }

    /** @param  Seen  $seen */
    private function lay(array $seen): void
    {
        $model = $this->nearest($seen['age_years']);
        $years = $this->grown->ageOf($model);
        $age = min($years, max(1, $seen['age_years'] ?? $years));
        $lengthMm = $model->nodes() * $model->internodeMm;
        $turn = $seen['azimuth_deg'] - $model->azimuthDeg;
        $scale = [$model->id => $seen['length_mm'] / max(1, $lengthMm)];
        $ids = [$model->id => $this->next];
        $stem = $model->turned($turn, false)->scaled($scale[$model->id]);
        $this->axes[$this->next] = new Axis(
            $this->next++, null, $stem->node, $stem->azimuthDeg, $this->setsOut($model, $seen), 0, $stem->internodeMm,
            $this->years($model, $age, $years), $stem->buds, $stem->tip, $stem->disused,
            $seen['from_azimuth_deg'] ?? null,
        );
        foreach ($this->grown->axes as $id => $axis) {
            $parent = $axis->parent;
            if ($parent === null || ! isset($ids[$parent])) {
                continue;
            }
            if (! $this->hasBroken($axis, $age, $years)) {
                // Wood of a year that has only just grown carries nothing yet: its bud is still to break.
                $this->axes[$ids[$parent]] = $this->axes[$ids[$parent]]->marked($axis->node, Axis::LIVE);

                continue;
            }
            $scale[$id] = $scale[$parent] * ($parent === $model->id
                ? min(1.0, (self::BEYOND * $lengthMm - $this->foot($axis)) / $this->reach[$id])
                : 1.0);
            $branch = $axis->turned($turn, false)->scaled($scale[$id]);
            $ids[$id] = $this->next;
            $this->axes[$this->next] = new Axis(
                $this->next++, $ids[$parent], $branch->node, $branch->azimuthDeg, $branch->leanDeg, $branch->order,
                $branch->internodeMm, $this->years($axis, $age, $years), $branch->buds, $branch->tip, $branch->disused,
            );
        }
    }

    /** How far along its parent a branch sets out, in mm. */
    private function foot(Axis $branch): float
    {
        return ($branch->node + 1) * ($this->grown->axes[$branch->parent ?? -1]->internodeMm ?? 0.0);
    }

    /** The season that wood of a grown stem is of on one that is younger: its years fall together. */
    private function year(int $season, int $age, int $years): int
    {
        return $this->grown->season - intdiv(($this->grown->season - $season) * $age, $years);
    }

    /** @return array<int, int> nodes by the season they grew in, on a stem of that age */
    private function years(Axis $axis, int $age, int $years): array
    {
        $grown = [];
        foreach ($axis->grown as $season => $nodes) {
            $year = $this->year($season, $age, $years);
            $grown[$year] = ($grown[$year] ?? 0) + $nodes;
        }

        return $grown;
    }

    /** True where the bud a branch grew from is older than the branch on a stem of that age. */
    private function hasBroken(Axis $branch, int $age, int $years): bool
    {
        $bud = $this->grown->axes[$branch->parent ?? 0]->seasonOf($branch->node);

        return $bud === $branch->born()
            || $this->year($branch->born(), $age, $years) > $this->year($bud, $age, $years);
    }

    /**
     * The lean it sets out with: what was seen is from its foot to its tip, and on its way it bends as its kind does.
     *
     * @param  Seen  $seen
     */
    private function setsOut(Axis $model, array $seen): float
    {
        return max(0.0, min(
            max(self::LEVEL_DEG, $seen['lean_deg']),
            $seen['lean_deg'] - $this->grown->bendOf($model) * $seen['length_mm'] / 2000,
        ));
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
