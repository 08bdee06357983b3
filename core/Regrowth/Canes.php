<?php

declare(strict_types=1);

namespace PruningHook\Core\Regrowth;

use PruningHook\Core\Growth\Axis;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\PlantBook\GrowthFigures;

/** What a vine's fruit comes from: last season's canes, cut to spurs along its arms or laid down in place of them. */
final readonly class Canes
{
    private const ARMS = 2;

    private GrowthFigures $figures;

    public function __construct(private LivingPlant $plant)
    {
        $this->figures = $plant->kind->habit->figures;
    }

    /**
     * On each arm the cane that stands nearest its foot is left as a spur for the next year, the one after it is
     * shortened and tied down in place of the arm, and what lies beyond goes.
     *
     * @param  int  $buds  that the new cane keeps
     * @return list<Cut>
     */
    public function laidAnew(int $buds): array
    {
        $canes = [];
        foreach ($this->ofLastSeason() as $id => $axis) {
            if ($axis->nodes() >= $this->figures->vineLeastCane * $buds) {
                $canes[$this->plant->stemOf($axis)][$id] = $this->fromItsFoot($axis);
            }
        }
        // What has come from the trunk beside the arms is not needed where they have canes of their own.
        $cuts = count($canes) < self::ARMS
            ? []
            : array_map(Cut::thin(...), array_keys(array_diff_key($this->plant->stems(), $canes)));
        foreach ($canes as $of) {
            asort($of);
            $ids = array_keys($of);
            // Where there is but one it is the cane, and its lowest buds are the spur.
            [$spur, $cane] = isset($ids[1]) ? [$ids[0], $ids[1]] : [null, $ids[0]];
            array_push($cuts, ...$this->renewed($spur, $cane, $buds));
            $cuts[] = Cut::lay($cane);
        }

        return $cuts;
    }

    /**
     * Along the arms each spur is led back to its lowest cane, so that it does not creep out into a head, and that is
     * cut to so many nodes; what bore no cane goes.
     *
     * @return list<Cut>
     */
    public function spurred(int $nodes): array
    {
        $canes = [];
        foreach ($this->ofLastSeason() as $id => $axis) {
            $canes[$this->spurOf($axis)][$id] = $this->fromItsFoot($axis);
        }
        $cuts = [];
        foreach ($this->spurs() as $arm => $spurs) {
            $last = -INF;
            foreach ($spurs as $id => $spur) {
                $of = $canes[$id] ?? [];
                asort($of);
                $at = $spur->node * $this->plant->axes[$arm]->internodeMm;
                $isKept = $of !== [] && $at - $last >= $this->figures->vineSpursApartMm;
                array_push(
                    $cuts, ...$isKept ? $this->led($spur, array_key_first($of), $nodes) : [Cut::thin($id)],
                );
                $last = $isKept ? $at : $last;
            }
        }

        return $cuts;
    }

    /** @return array<int, array<int, Axis>> what grows from each arm, by arm and id, from its foot on */
    private function spurs(): array
    {
        $spurs = [];
        foreach ($this->plant->axes as $id => $axis) {
            if ($axis->parent !== null && $this->plant->axes[$axis->parent]->parent === null) {
                $spurs[$axis->parent][$id] = $axis;
            }
        }
        foreach ($spurs as $arm => $of) {
            uasort($of, static fn (Axis $a, Axis $b): int => [$a->node, $a->id] <=> [$b->node, $b->id]);
            $spurs[$arm] = $of;
        }

        return $spurs;
    }

    /** @return list<Cut> a spur back to its lowest cane, or where that has crept out to its own foot */
    private function led(Axis $spur, int $cane, int $nodes): array
    {
        $out = $this->fromItsFoot($this->plant->axes[$cane]) - $this->fromItsFoot($spur);
        if ($out > $this->figures->vineCrept * $nodes) {
            $keep = min($nodes, max(1, $spur->nodes() - 1));
            $on = array_filter(
                $this->plant->children()[$spur->id] ?? [],
                fn (int $child): bool => $this->plant->axes[$child]->node < $keep,
            );

            return [
                ...array_map(Cut::thin(...), array_values($on)),
                ...$spur->nodes() > $keep ? [Cut::head($spur->id, $keep - 1)] : [],
            ];
        }

        return array_values(array_filter(
            $this->renewed(null, $cane, $nodes), fn (Cut $cut): bool => $cut->axis !== null
                && $this->plant->axes[$cut->axis]->parent !== null
                && $this->spurOf($this->plant->axes[$cut->axis]) === $spur->id,
        ));
    }

    /** @return array<int, Axis> by id */
    private function ofLastSeason(): array
    {
        return array_filter($this->plant->axes, fn (Axis $axis): bool => $axis->parent !== null && ! $axis->isDead()
            && $axis->born() === $this->plant->season);
    }

    /** What it stands on that itself grows from an arm. */
    private function spurOf(Axis $axis): int
    {
        $on = $axis;
        while ($on->parent !== null) {
            [$axis, $on] = [$on, $this->plant->axes[$on->parent]];
        }

        return $axis->id;
    }

    /** Nodes from the foot of its stem to where it sets out. */
    private function fromItsFoot(Axis $axis): int
    {
        $nodes = 0;
        for (; $axis->parent !== null; $axis = $this->plant->axes[$axis->parent]) {
            $nodes += $axis->node + 1;
        }

        return $nodes;
    }

    /** @return list<Cut> */
    private function renewed(?int $spur, int $cane, int $buds): array
    {
        $axes = $this->plant->axes;
        $kept = $this->path($cane);
        foreach ($spur === null ? [] : $this->path($spur) as $id => $node) {
            $kept[$id] = max($node, $kept[$id] ?? 0);
        }
        $children = $this->plant->children();
        $off = $heads = [];
        foreach ($kept as $id => $last) {
            // Of the cane and the spur themselves nothing beside their buds stays.
            $isNew = $id === $cane || $id === $spur;
            foreach ($children[$id] ?? [] as $child) {
                if (! isset($kept[$child]) && ($isNew || $axes[$child]->node <= $last)) {
                    $off[] = Cut::thin($child);
                }
            }
            $last = $isNew ? ($id === $cane ? $buds : $this->figures->vineSpurBuds) - 1 : $last;
            if ($last < $axes[$id]->nodes() - 1) {
                $heads[] = Cut::head($id, $last);
            }
        }

        return [...$off, ...$heads];
    }

    /** @return array<int, int> the axes it stands on and itself, and the farthest node of each that is needed */
    private function path(int $id): array
    {
        $path = [$id => 0];
        for ($axis = $this->plant->axes[$id]; $axis->parent !== null; $axis = $this->plant->axes[$axis->parent]) {
            $path[$axis->parent] = $axis->node;
        }

        return $path;
    }
}
