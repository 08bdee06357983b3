<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

use PruningHook\Core\PlantBook\GrowthFigures;

/**
 * What a plant grows in a season. What breaks wants to grow by its place; all
 * share what the roots can drive, so that fewer buds make longer shoots, and old wood that must be kept alive takes its
 * part first. Figures without a source are common practice.
 */
final readonly class Season
{
    /** A spiral goes round by this from bud to bud: the golden angle. */
    private const SPIRAL = 137.508;

    /** How much chance has in which of two alike wakes. */
    private const TIES = 0.2;

    /** Nodes of a stub: below it the ring of buds at its foot answers too. */
    private const STUB = 2;

    /** How much chance has in which of a climber's shoots get away. */
    private const LUCK = 0.5;

    /** A shoot that could not make so much of what it wants does not start. */
    private const LEAST_SHARE = 0.3;

    /** A lateral of fewer nodes stays a bud. */
    private const LEAST_NODES = 3;

    private GrowthFigures $figures;

    private Breaks $breaks;

    private function __construct(private LivingPlant $plant, private int $year)
    {
        $this->figures = $plant->kind->habit->figures;
        $this->breaks = new Breaks($plant->kind->habit);
    }

    public static function grow(LivingPlant $plant): LivingPlant
    {
        return (new self($plant, $plant->season + 1))->grown();
    }

    private function grown(): LivingPlant
    {
        $taken = $this->taken();
        $places = $this->plant->places();
        $wants = $this->competing([...$this->wants($places), ...$this->basal($taken)]);
        [$awake, $scale] = $this->awake($wants, $taken);
        $axes = $this->plant->axes;
        $next = $this->plant->next;
        foreach ($awake as [$id, $node, $strength, $leads]) {
            $nodes = (int) floor($this->plant->kind->shootNodes * $strength * $scale + 0.5);
            if ($id !== null && $node === null) {
                $axes[$id] = $nodes > 0 ? $axes[$id]->longer($this->year, $nodes) : $axes[$id];
            } elseif ($nodes >= self::LEAST_NODES) {
                $axes[$next] = $id === null
                    ? $this->stem($next, $nodes)
                    : $this->lateral($next, $axes[$id], $places[$id], $node, $nodes, $leads);
                if ($id !== null) {
                    $axes[$id] = $axes[$id]->marked($node, Axis::BROKEN);
                }
                $next++;
            }
        }
        $axes = array_map(self::answered(...), $axes);
        $roots = $this->plant->roots + $this->figures->rootsGain * (1 - $this->plant->roots)
            - $this->figures->rootsLose * max(0.0, $taken - $this->figures->hard);

        $grown = new LivingPlant(
            $this->plant->kind, $this->year, $axes, $next, max(0.1, min(1.0, $roots)), 0,
            $this->plant->seed, $this->plant->facesDeg, $this->plant->mirrored, $this->plant->thicknessFactors,
        );

        return $this->plant->kind->habit->hangs() ? $this->offTheGround($grown) : $grown;
    }

    /** What hangs grows on no further than to where the ground is near. */
    private function offTheGround(LivingPlant $grown): LivingPlant
    {
        $axes = $grown->axes;
        foreach ($grown->places() as $id => $place) {
            [$from, $to] = $axes[$id]->ofSeason($this->year);
            $least = $from === 0 ? 1 : $from;
            $stands = $to;
            while ($stands > $least && $place->node($stands - 1)[2] < $this->figures->clearMm) {
                $stands--;
            }
            if ($stands < $to) {
                $axes[$id] = $axes[$id]->shorter($this->year, $to - $stands);
            }
        }

        return $grown->having($axes);
    }

    /**
     * On a climber a few get away and the many stay short; on a bush they go more evenly.
     *
     * @param  list<array{?int, ?int, float, bool}>  $wants
     * @return list<array{?int, ?int, float, bool}>
     */
    private function competing(array $wants): array
    {
        $rivalry = $this->plant->kind->habit->rivalry;
        if ($rivalry <= 1.0 || $wants === []) {
            return $wants;
        }
        $luck = array_map(fn (array $want): float => $want[2]
            * (1 - self::LUCK * $this->plant->chance("rival $this->year $want[0] $want[1]")), $wants);
        $most = max($luck);

        return array_map(
            static fn (array $want, float $of): array => [$want[0], $want[1], ($of / $most) ** $rivalry, $want[3]],
            $wants, $luck,
        );
    }

    /** What went of the live wood since it last grew, 0 to 1. */
    private function taken(): float
    {
        return $this->plant->stood < 1 ? 0.0 : max(0.0, 1 - $this->plant->living() / $this->plant->stood);
    }

    /**
     * What breaks or grows on: axis, node of a lateral, strength, and whether it takes the place of a tip that is gone.
     *
     * @param  array<int, Place>  $places
     * @return list<array{int, ?int, float, bool}>
     */
    private function wants(array $places): array
    {
        $wants = [];
        foreach ($this->plant->axes as $id => $axis) {
            if (! $axis->isDead()) {
                array_push($wants, ...$axis->tip === Axis::HEADED
                    ? $this->answer($axis, $places[$id])
                    : $this->goesOn($axis, $places[$id]));
            }
        }

        return $wants;
    }

    /**
     * What breaks below a cut, and on a level shoot all along as well.
     *
     * @return list<array{int, ?int, float, bool}>
     */
    private function answer(Axis $axis, Place $place): array
    {
        $habit = $this->plant->kind->habit;
        $strength = $this->strength($axis);
        $wants = [];
        foreach ($this->breaks->belowCut($axis, $this->answers($axis)) as $node => $weight) {
            $wants[] = [$axis->id, $node, $weight * $strength, true];
        }
        if ($wants !== [] && $axis->nodes() <= self::STUB) {
            // A stub breaks from the ring of buds at its foot as well: so a knuckle grows.
            $wants[] = [$axis->id, 0, $this->figures->fromAStub * $strength, true];
        }
        if ($this->breaks->levelness($place->leanOf($axis->nodes() - 1)) > 0.5) {
            [$from, $to] = $axis->ofSeason($this->plant->season);
            $to = min($to, $axis->nodes() - count($wants));
            foreach ($this->breaks->along($axis, $place, $from, $to) as $node => $weight) {
                $wants[] = [$axis->id, $node, $weight * $strength * $habit->decay, false];
            }
        }

        return $wants;
    }

    /**
     * A tip that lives grows on; where it ended, the topmost lateral takes its place.
     *
     * @return list<array{int, ?int, float, bool}>
     */
    private function goesOn(Axis $axis, Place $place): array
    {
        $habit = $this->plant->kind->habit;
        $strength = $this->strength($axis);
        $wants = [];
        $isLive = $axis->tip === Axis::LIVE && ! $this->isCane($axis);
        if ($isLive) {
            $tired = max($this->figures->leastTip, 1 - $this->figures->tires * ($this->plant->ageOf($axis) - 1));
            $wants[] = [$axis->id, null, $strength * $tired, false];
        }
        $season = $isLive ? $this->plant->season : array_key_last($axis->grown) ?? 0;
        $first = ! $isLive;
        foreach ($this->breaks->along($axis, $place, ...$axis->ofSeason($season)) as $node => $weight) {
            // Its place is taken once, in the season after it ended.
            $leads = $first && $season === $this->plant->season && ! $this->isCane($axis);
            $wants[] = [$axis->id, $node, $weight * $strength * ($first ? 1.0 : $habit->decay), $leads];
            $first = false;
        }

        return $wants;
    }

    /** A stem of two years: it grows no longer in its second, and bears laterals that only fruit. */
    private function isCane(Axis $axis): bool
    {
        return $this->plant->kind->habit->twoYear && $axis->parent === null;
    }

    /** Of what grows from an axis, as a share of a full shoot. */
    private function strength(Axis $axis): float
    {
        return $this->isCane($axis)
            ? $this->figures->fruitingLateral
            : $this->plant->kind->habit->decay ** $axis->order;
    }

    /** Buds that answer a cut: three below one into last season's wood, what the kind can below one into old wood. */
    private function answers(Axis $axis): int
    {
        return $axis->seasonOf($axis->nodes() - 1) === $this->plant->season ? 3 : $this->plant->kind->breaksOld;
    }

    /**
     * New stems from the base: fewer where it is crowded, more after a hard cut.
     *
     * @return list<array{null, null, float, false}>
     */
    private function basal(float $taken): array
    {
        $habit = $this->plant->kind->habit;
        $room = max(0.0, 1 - count($this->plant->stems()) / (1.6 * $habit->stems));
        $stems = $this->plant->roots * ($habit->basal[0] * min(1.0, 2 * $room)
            + ($habit->basal[1] - $habit->basal[0]) * $taken);

        return array_fill(0, (int) floor($stems + 0.5), [null, null, 1.0, false]);
    }

    /**
     * What wakes, the strongest first, and the share each gets of what it wants: as many as can be shoots and not mere
     * points. The rest stay asleep, and those that wake have their part.
     *
     * @param  list<array{?int, ?int, float, bool}>  $wants
     * @return array{list<array{?int, ?int, float, bool}>, float}
     */
    private function awake(array $wants, float $taken): array
    {
        $supply = $this->supply($taken) / $this->plant->kind->shootNodes;
        $luck = array_map(fn (array $want): float => $want[2]
            * (1 - self::TIES * $this->plant->chance("wakes $this->year $want[0] $want[1]")), $wants);
        arsort($luck);
        $awake = [];
        $wanted = 0.0;
        $least = self::LEAST_NODES / $this->plant->kind->shootNodes;
        foreach (array_keys($luck) as $index) {
            $more = $wanted + $wants[$index][2];
            $share = min(1.0, $supply / $more);
            if ($awake !== [] && ($share < self::LEAST_SHARE || $wants[$index][2] * $share < $least)) {
                break;
            }
            $awake[] = $wants[$index];
            $wanted = $more;
        }

        return [$awake, $wanted > 0.0 ? min(1.0, $supply / $wanted) : 0.0];
    }

    /** Nodes that the roots can drive in a season, what keeps the old wood alive taken off. */
    private function supply(float $taken): float
    {
        $kind = $this->plant->kind;
        $full = $kind->habit->shoots * $kind->shootNodes;
        $old = 0;
        foreach ($this->plant->axes as $axis) {
            [$from] = $axis->ofSeason($this->plant->season);
            $old += $from - substr_count($axis->buds, Axis::DEAD, 0, $from);
        }
        $kept = min($this->figures->keptAlive, $old / ($full * $kind->habit->turn));

        return max(1.0, $full * $this->plant->roots * (1 - $kept) * (1 + $this->figures->answer * $taken));
    }

    private function stem(int $id, int $nodes): Axis
    {
        $habit = $this->plant->kind->habit;
        $hand = $this->plant->mirrored ? -1 : 1;
        $way = $habit->wireMm !== null ? ($id % 2 === 0 ? 90 : 270) : $hand * self::SPIRAL * $id;
        $lean = $habit->lean[0] + ($habit->lean[1] - $habit->lean[0]) * $this->plant->chance("lean $id");

        return new Axis(
            $id, null, $habit->base($id), fmod($this->plant->facesDeg + $way + 360_000, 360), $lean, 0,
            $habit->internodeMm, [$this->year => $nodes], str_repeat(Axis::LIVE, $nodes),
        );
    }

    /** It leaves its parent at the kind's fork, on its turn of the spiral; from a level shoot it grows up. */
    private function lateral(int $id, Axis $parent, Place $place, int $node, int $nodes, bool $leads): Axis
    {
        $habit = $this->plant->kind->habit;
        $leanDeg = $place->leanOf($node);
        $level = $this->breaks->levelness($leanDeg);
        // A second one from the same place goes another way.
        $turns = $node + ($parent->buds[$node] === Axis::BROKEN ? 1 + $id % 5 : 0);
        $round = fmod(self::SPIRAL * $turns, 360) - 180;
        [$lean, $turn] = self::forked(
            $leanDeg, $habit->fork * ($leads ? $this->figures->leader : 1), 180 + $round * (1 - $level),
        );

        return new Axis(
            $id, $parent->id, $node,
            fmod($parent->azimuthDeg + ($this->plant->mirrored ? -1 : 1) * $turn + 720, 360), $lean,
            $parent->order + ($leads ? 0 : 1), $habit->internodeMm, [$this->year => $nodes],
            str_repeat(Axis::LIVE, $nodes),
        );
    }

    /**
     * The way a branch goes that forks from one of such a lean: its own lean, and how far it turns from its parent's
     * way.
     *
     * @return array{float, float} in degrees
     */
    private static function forked(float $leanDeg, float $forkDeg, float $roundDeg): array
    {
        [$lean, $fork, $round] = [deg2rad($leanDeg), deg2rad($forkDeg), deg2rad($roundDeg)];
        // In the parent's own upright plane: out, aside, up.
        $along = sin($fork) * cos($round);
        $out = cos($fork) * sin($lean) + $along * cos($lean);
        $up = cos($fork) * cos($lean) - $along * sin($lean);
        $aside = sin($fork) * sin($round);

        return [rad2deg(acos(max(-1.0, min(1.0, $up)))), rad2deg(atan2($aside, $out))];
    }

    private static function answered(Axis $axis): Axis
    {
        return $axis->tip === Axis::HEADED ? $axis->tipped(Axis::BROKEN) : $axis;
    }
}
