<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

use Closure;
use PruningHook\Core\Fault;

/** Makes cuts on a plant. Nothing else takes wood from it, and no cut adds any: what went and what stands was there. */
final readonly class Cutting
{
    /** @param  int  $removed  nodes that went */
    private function __construct(public LivingPlant $plant, public int $removed)
    {
    }

    /**
     * @param  list<Cut>  $cuts  in their order
     *
     * @throws Fault for a cut on wood that is not there
     */
    public static function of(LivingPlant $plant, array $cuts): self
    {
        $removed = 0;
        $together = [];
        foreach ($cuts as $cut) {
            // Single cuts, one after another, are made in one go: a hedge has hundreds.
            if ($cut->does === 'thin' || $cut->does === 'head') {
                $together[(int) $cut->axis] = self::single($plant, $cut, $together);

                continue;
            }
            $single = self::keeping($plant, $together);
            $together = [];
            if ($cut->does === 'lay') {
                $plant = self::laid($single->plant, (int) $cut->axis);
                $removed += $single->removed;

                continue;
            }
            $done = self::keeping($single->plant, match ($cut->does) {
                'shorten' => self::shortened($single->plant, $cut->axis, (int) $cut->buds),
                'raise' => self::raised($single->plant, (int) $cut->heightMm),
                'face' => self::past(
                    $single->plant, self::plane((float) $cut->towardsDeg, (int) $cut->distanceMm),
                ),
                default => self::past(
                    $single->plant, static fn (float $x, float $y, float $z): bool => $z > $cut->heightMm,
                ),
            });
            $removed += $single->removed + $done->removed;
            $plant = $done->plant;
        }
        $single = self::keeping($plant, $together);

        return new self($single->plant, $removed + $single->removed);
    }

    /**
     * Nodes that a single cut keeps of its axis.
     *
     * @param  array<int, int>  $cut  nodes kept by the cuts before it, by axis
     *
     * @throws Fault where that wood is gone, or never grew
     */
    private static function single(LivingPlant $plant, Cut $made, array $cut): int
    {
        $axis = self::axis($plant, (int) $made->axis);
        for ($on = $axis; $on->parent !== null; $on = $plant->axes[$on->parent]) {
            if ($on->node >= ($cut[$on->parent] ?? PHP_INT_MAX)) {
                throw self::gone($axis->id);
            }
        }
        $nodes = $cut[$axis->id] ?? $axis->nodes();
        if ($nodes === 0) {
            throw self::gone($axis->id);
        }
        if ($made->does === 'thin') {
            return 0;
        }
        $node = (int) $made->node;

        return $node >= 0 && $node < $nodes ? $node + 1 : throw new Fault(sprintf(
            'axis %d has %d nodes, so it cannot be headed above node %d', $axis->id, $nodes, $node,
        ));
    }

    /** @throws Fault */
    private static function laid(LivingPlant $plant, int $id): LivingPlant
    {
        $axis = self::axis($plant, $id);
        $along = $plant->axes[$plant->stemOf($axis)]->azimuthDeg;

        return $plant->having(array_replace($plant->axes, [$id => $axis->tied($along)]));
    }

    /** @return array<int, int> */
    private static function shortened(LivingPlant $plant, ?int $axis, int $buds): array
    {
        if ($axis !== null) {
            self::axis($plant, $axis);
        }
        $keep = [];
        foreach ($plant->axes as $id => $each) {
            if ($axis === null ? $each->parent !== null : $each->parent === $axis) {
                $keep[$id] = min($buds, $each->nodes());
            }
        }

        return $keep;
    }

    /** @return array<int, int> branches that set out below a height go, the stems and what leads them on do not */
    private static function raised(LivingPlant $plant, int $heightMm): array
    {
        $keep = [];
        foreach ($plant->places() as $id => $place) {
            if ($plant->axes[$id]->order > 0 && $place->z < $heightMm) {
                $keep[$id] = 0;
            }
        }

        return $keep;
    }

    /**
     * Each axis down to the last node before the first that stands past a bound.
     *
     * @param  callable(float, float, float): bool  $isPast
     * @return array<int, int>
     */
    private static function past(LivingPlant $plant, callable $isPast): array
    {
        $keep = [];
        foreach ($plant->places() as $id => $place) {
            $axis = $plant->axes[$id];
            if ($isPast($place->x, $place->y, $place->z)) {
                $keep[$id] = 0;

                continue;
            }
            for ($node = 0, $nodes = $axis->nodes(); $node < $nodes; $node++) {
                if ($isPast(...$place->node($node))) {
                    // A branch that begins within is not torn out: a stub with a bud is left of it.
                    $keep[$id] = max(1, $node);
                    break;
                }
            }
        }

        return $keep;
    }

    /** @return Closure(float, float, float): bool */
    private static function plane(float $towardsDeg, int $distanceMm): Closure
    {
        [$east, $north] = [sin(deg2rad($towardsDeg)), cos(deg2rad($towardsDeg))];

        return static fn (float $x, float $y, float $z): bool => $x * $east + $y * $north > $distanceMm;
    }

    /**
     * @param  array<int, int>  $keep  nodes of the axes that lose any, by id; what grew from what goes, goes with it
     */
    private static function keeping(LivingPlant $plant, array $keep): self
    {
        if ($keep === []) {
            return new self($plant, 0);
        }
        $pipes = $plant->pipes();
        $on = $plant->children();
        $axes = [];
        $removed = 0;
        $lost = [];
        foreach ($plant->axes as $id => $axis) {
            $stands = $axis->parent === null || (isset($axes[$axis->parent])
                && $axis->node < $axes[$axis->parent]->nodes());
            $nodes = $stands ? min($keep[$id] ?? $axis->nodes(), $axis->nodes()) : 0;
            $removed += $axis->nodes() - $nodes;
            if ($nodes > 0) {
                $axes[$id] = $nodes < $axis->nodes()
                    ? $axis->cutTo($nodes, self::above($plant, $axis, $nodes, $pipes, $on[$id] ?? []))
                    : $axis;
            } elseif ($stands && $axis->parent !== null) {
                $lost[$axis->parent] = ($lost[$axis->parent] ?? 0) + $pipes[$id];
            }
        }
        foreach ($lost as $id => $pipe) {
            $axes[$id] = $axes[$id]->lost($pipe);
        }

        return new self($plant->having($axes), $removed);
    }

    /**
     * Pipes that ran through the place of a cut.
     *
     * @param  array<int, int>  $pipes  at the foot of each axis
     * @param  list<int>  $on  what grows from this one
     */
    private static function above(LivingPlant $plant, Axis $axis, int $nodes, array $pipes, array $on): int
    {
        $above = $axis->nodes() - $nodes;
        foreach ($on as $id) {
            if ($plant->axes[$id]->node >= $nodes) {
                $above += $pipes[$id];
            }
        }

        return $above;
    }

    /** @throws Fault */
    private static function axis(LivingPlant $plant, int $id): Axis
    {
        return $plant->axes[$id] ?? throw self::gone($id);
    }

    private static function gone(int $id): Fault
    {
        return new Fault("axis $id is not there any more: it was cut off, or never grew");
    }
}
