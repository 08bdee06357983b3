<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Regrowth\Stage;

/**
 * What is drawn of the cuts on a plant: a slanted tick where wood is shortened, with the bud it is made above, and the
 * number of each cut that takes a stem or branch out whole.
 */
final readonly class CutMarks
{
    /** With more cuts than that only whole stems carry their number. */
    private const NUMBERED = 14;

    /** Where along its wood a number may stand, the best place first: neighbours' stand where each can be read. */
    private const ALONG = [0.5, 0.7, 0.35, 0.85, 0.2, 0.97];

    /** Where there is no room along it a number stands beside its wood, so many times the least distance from it. */
    private const FAR = [1.0, 1.7, 2.4, 3.1];

    /** Degrees up or down from straight outwards. */
    private const TURNED = [15, -15, 45, -45, 75, -75, 105, -105, 135, -135, 165, -165];

    /** Degrees that a cut above a single bud slopes away from it; above a pair it runs straight. Common practice. */
    private const ASLANT = 30;

    /** So many buds of what is left are counted in the picture. */
    private const COUNTED = 5;

    /** More ticks than that are no marks but a hedge. */
    private const TICKS = 60;

    /**
     * @param  list<Tick>  $ticks
     * @param  list<Spot>  $buds  that decide where it grows on
     * @param  list<Seal>  $seals
     */
    private function __construct(public array $ticks, public array $buds, public array $seals)
    {
    }

    /**
     * @param  float  $apartMm  two numbers stand at the least
     * @param  callable(Spot): bool  $isIn  the picture
     */
    public static function of(Stage $stage, View $view, float $apartMm, callable $isIn): self
    {
        [$plant, $left] = [$stage->plant, $stage->left];
        if ($left === null) {
            return new self([], [], []);
        }
        $ticks = $buds = [];
        foreach ($plant->places() as $id => $place) {
            $stays = ($left->axes[$id] ?? null)?->nodes() ?? 0;
            if ($stays > 0 && $stays < $plant->axes[$id]->nodes() && count($ticks) < self::TICKS) {
                [$x, $y] = $view->project($place->node($stays - 1));
                [$beyondX, $beyondY] = $view->project($place->node($stays - 0.4));
                $ticks[] = new Tick(new Spot($beyondX, $beyondY), self::across(
                    $beyondX - $x, $beyondY - $y, $plant->kind->opposite ? 0 : self::ASLANT,
                ));
                // Few are counted, of many the last decides.
                for ($node = $stays > self::COUNTED ? $stays - 1 : 0; $node < $stays; $node++) {
                    [$x, $y] = $view->project($place->node($node));
                    $buds[] = new Spot($x, $y);
                }
            }
        }

        return new self($ticks, $buds, self::seals($stage, $view, $apartMm, $isIn));
    }

    /** @param  callable(Spot): bool  $isIn */
    public function only(callable $isIn): self
    {
        return new self(
            array_values(array_filter($this->ticks, static fn (Tick $tick): bool => $isIn($tick->at))),
            array_values(array_filter($this->buds, $isIn)),
            array_values(array_filter($this->seals, static fn (Seal $seal): bool => $isIn($seal->at))),
        );
    }

    /** Across the wood, in degrees of the picture, whose y goes down; aslant away from a single bud. */
    private static function across(float $right, float $up, int $aslant): float
    {
        return round(90 - rad2deg(atan2($up, $right)) + $aslant, 1);
    }

    /** @return list<Seal> */
    private static function seals(Stage $stage, View $view, float $apartMm, callable $isIn): array
    {
        $places = $stage->plant->places();
        $seals = [];
        foreach (self::numbered($stage) as $number => $cut) {
            $nodes = $stage->plant->axes[(int) $cut->axis]->nodes() - 1;
            $along = [];
            foreach ($cut->node === null ? self::ALONG : [$cut->node / max(1, $nodes)] as $share) {
                [$x, $y] = $view->project($places[(int) $cut->axis]->node($nodes * $share));
                $along[] = new Spot($x, $y);
            }
            foreach ([...$along, ...self::aside($along[0], $apartMm, $isIn)] as $at) {
                if (self::air($at, $seals) >= $apartMm) {
                    $seals[] = new Seal($at, $number, in_array($at, $along, true) ? $at : $along[0]);
                    // Where there is no room at all the list of cuts tells it.
                    break;
                }
            }
        }

        return $seals;
    }

    /**
     * Places beside the wood, the nearest first and outwards before inwards.
     *
     * @param  callable(Spot): bool  $isIn  the picture
     * @return list<Spot>
     */
    private static function aside(Spot $wood, float $apartMm, callable $isIn): array
    {
        $spots = [];
        foreach (self::FAR as $far) {
            foreach (self::TURNED as $turn) {
                $angle = deg2rad($wood->x < 0 ? 180 - $turn : $turn);
                $spots[] = new Spot(
                    $wood->x + $far * $apartMm * cos($angle), $wood->y + $far * $apartMm * sin($angle),
                );
            }
        }

        return array_values(array_filter($spots, $isIn));
    }

    /** @param  list<Seal>  $seals */
    private static function air(Spot $at, array $seals): float
    {
        return min([INF, ...array_map(
            static fn (Seal $seal): float => hypot($seal->at->x - $at->x, $seal->at->y - $at->y), $seals,
        )]);
    }

    /** @return array<int, Cut> those that carry a number, by it */
    private static function numbered(Stage $stage): array
    {
        $numbered = [];
        $isFew = count(array_unique($stage->numbers ?? array_keys($stage->cuts))) <= self::NUMBERED;
        foreach ($stage->cuts as $index => $cut) {
            $axis = $stage->plant->axes[$cut->axis ?? -1] ?? null;
            $isWhole = $cut->does === 'thin' && $axis?->parent === null;
            if ($axis !== null && ($isWhole || $isFew)) {
                // A step that comes to many cuts is marked at the first of them.
                $numbered += [$stage->numbers[$index] ?? count($numbered) + 1 => $cut];
            }
        }

        return $numbered;
    }
}
