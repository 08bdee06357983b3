<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Growth\LivingPlant;

/** The wires a trained plant is tied to, and where its mains are tied: each time one crosses a wire. */
final readonly class Trained
{
    /**
     * @param  list<int>  $wires  heights in mm, the lowest first
     * @param  list<Spot>  $ties
     */
    private function __construct(public array $wires, public array $ties)
    {
    }

    public static function of(LivingPlant $plant, View $view, int $topMm): self
    {
        $apart = $plant->kind->habit->wireMm;
        if ($apart === null || $view === View::Above) {
            return new self([], []);
        }
        $first = $plant->kind->habit->trunkMm > 0 ? $plant->kind->habit->trunkMm : $apart;
        $wires = [];
        for ($wire = $first; $wire <= $topMm; $wire += $apart) {
            $wires[] = $wire;
        }
        $ties = [];
        foreach ($plant->stems() as $id => $stem) {
            $place = $plant->places()[$id];
            $before = $place->z;
            $lastTie = -INF;
            for ($node = 0, $nodes = $stem->nodes(); $node < $nodes; $node++) {
                $at = $place->node($node);
                foreach ($wires as $wire) {
                    // A level arm lies along its wire and is tied all along.
                    $along = abs($at[2] - $wire) < $apart / 3 && $node * $stem->internodeMm - $lastTie > $apart;
                    $isLevel = 0.3 * $stem->internodeMm > $at[2] - $before;
                    if (($before < $wire && $at[2] >= $wire) || ($along && $isLevel)) {
                        [$x, $y] = $view->project($at);
                        $ties[] = new Spot($x, $y);
                        $lastTie = $node * $stem->internodeMm;
                    }
                }
                $before = $at[2];
            }
        }

        return new self($wires, $ties);
    }
}
