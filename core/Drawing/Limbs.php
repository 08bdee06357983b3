<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Growth\Axis;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Growth\Place;

/** The axes of a living plant as tapering limbs, toned by the age of their wood; what a cut takes is told apart. */
final readonly class Limbs
{
    /** A limb is drawn through so many points at the most: an arch needs a few. */
    private const POINTS = 6;

    /** Wood is drawn stouter than it is, so that a picture of a whole plant tells thick from thin. */
    private const STOUT = 1.5;

    /**
     * @param  array<int, true>  $insurance  by axis
     * @param  array<int, float>  $least  by axis
     */
    private function __construct(
        private LivingPlant $plant,
        private View $view,
        private float $thinnestMm,
        private array $insurance,
        private array $least,
    ) {
    }

    /**
     * @param  ?LivingPlant  $left  what a cut leaves of it
     * @param  float  $thinnestMm  that anything is drawn, so that twigs can be seen
     * @param  list<int>  $insurance  axes that stay in case others die
     * @param  array<int, float>  $least  mm that an axis is drawn at the least, where that is more, by axis
     * @return list<Limb> the farthest first
     */
    public static function of(
        LivingPlant $plant,
        ?LivingPlant $left,
        View $view,
        float $thinnestMm,
        array $insurance = [],
        array $least = [],
    ): array {
        return (new self(
            $plant, $view, $thinnestMm, array_fill_keys($insurance, true), $least,
        ))->drawn($left);
    }

    /** @return list<Limb> */
    private function drawn(?LivingPlant $left): array
    {
        $pipes = $this->plant->pipes();
        $limbs = [];
        if ($this->plant->kind->habit->trunkMm > 0) {
            $stems = $this->plant->stems();
            $thick = $stems === [] ? 0.0 : $this->plant->thickAt(
                reset($stems), array_sum(array_intersect_key($pipes, $stems)),
            );
            $top = (float) $this->plant->kind->habit->baseMm($this->plant->kind->habit->tiers - 1);
            $limbs[] = $this->piece(null, [[0.0, 0.0, 0.0], [0.0, 0.0, $top]], $thick, 0.9 * $thick, 'old', false);
        }
        foreach ($this->plant->places() as $id => $place) {
            $axis = $this->plant->axes[$id];
            $stays = $left === null ? $axis->nodes() : (($left->axes[$id] ?? null)?->nodes() ?? 0);
            foreach ($this->pieces($axis, $stays) as [$from, $to, $wood, $goes]) {
                $limbs[] = $this->limb($axis, $place, $pipes[$id], [$from, $to], $wood, $goes);
            }
        }
        usort($limbs, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_column($limbs, 1);
    }

    /**
     * An axis in pieces of one age that all stay or all go.
     *
     * @return list<array{int, int, 'new'|'last'|'old'|'dead', bool}> first node, the one after the last, wood, and
     *     whether it goes
     */
    private function pieces(Axis $axis, int $stays): array
    {
        $pieces = [];
        $from = 0;
        foreach ($axis->grown as $season => $nodes) {
            $wood = match (true) {
                ($axis->buds[$from] ?? '') === Axis::DEAD => 'dead',
                $season === $this->plant->season => 'new',
                $season === $this->plant->season - 1 => 'last',
                default => 'old',
            };
            $to = $from + $nodes;
            $last = array_key_last($pieces);
            $cut = max($from, min($to, $stays));
            foreach ([[$from, $cut, false], [$cut, $to, true]] as [$begin, $end, $goes]) {
                if ($end <= $begin) {
                    continue;
                }
                if ($last !== null && $pieces[$last][2] === $wood && $pieces[$last][3] === $goes) {
                    $pieces[$last][1] = $end;
                } else {
                    $pieces[] = [$begin, $end, $wood, $goes];
                    $last = array_key_last($pieces);
                }
            }
            $from = $to;
        }

        return $pieces;
    }

    /**
     * @param  array{int, int}  $nodes  its first, and the one after its last
     * @param  'new'|'last'|'old'|'dead'  $wood
     * @return array{float, Limb} with how far away it is
     */
    private function limb(
        Axis $axis,
        Place $place,
        int $pipes,
        array $nodes,
        string $wood,
        bool $goes,
    ): array {
        [$from, $to] = $nodes;
        $line = [$place->node($from - 1)];
        $steps = min(self::POINTS, $to - $from);
        for ($step = 1; $step <= $steps; $step++) {
            $line[] = $place->node($from + ($to - $from) * $step / $steps - 1);
        }
        // From its foot to its tip it thins as its pipes leave it.
        $thick = fn (int $node): float => $this->plant->thickAt(
            $axis, (int) max(1, round($pipes * (1 - $node / max(1, $axis->nodes())))),
        );

        return $this->piece($axis->id, $line, $thick($from), $thick($to), $wood, $goes);
    }

    /**
     * @param  non-empty-list<array{float, float, float}>  $points
     * @param  'new'|'last'|'old'|'dead'  $wood
     * @return array{float, Limb}
     */
    private function piece(?int $axis, array $points, float $foot, float $tip, string $wood, bool $goes): array
    {
        $line = array_map($this->view->project(...), $points);

        return [$line[0][2], new Limb(
            $axis, array_map(static fn (array $at): Spot => new Spot($at[0], $at[1]), $line),
            $this->taper($line, $foot, $tip, $this->least[$axis ?? -1] ?? $this->thinnestMm), $wood, $goes,
            ! $goes && isset($this->insurance[$axis ?? -1]),
        )];
    }

    /**
     * @param  non-empty-list<array{float, float, float}>  $line
     * @return non-empty-list<Spot>
     */
    private function taper(array $line, float $foot, float $tip, float $least): array
    {
        $there = $back = [];
        $last = count($line) - 1;
        foreach ($line as $index => [$x, $y]) {
            [$beforeX, $beforeY] = $line[max(0, $index - 1)];
            [$afterX, $afterY] = $line[min($last, $index + 1)];
            $length = max(0.001, hypot($afterX - $beforeX, $afterY - $beforeY));
            $half = max($least, self::STOUT * ($foot + ($tip - $foot) * $index / max(1, $last))) / 2;
            [$outX, $outY] = [-($afterY - $beforeY) / $length * $half, ($afterX - $beforeX) / $length * $half];
            $there[] = new Spot($x + $outX, $y + $outY);
            $back[] = new Spot($x - $outX, $y - $outY);
        }

        return [...$there, ...array_reverse($back)];
    }
}
