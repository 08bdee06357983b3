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

    /** @param  float  $apartMm  two numbers stand at the least */
    public static function of(Stage $stage, View $view, float $apartMm): self
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

        return new self($ticks, $buds, self::seals($stage, $view, $apartMm));
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
    private static function seals(Stage $stage, View $view, float $apartMm): array
    {
        $places = $stage->plant->places();
        $seals = [];
        foreach (self::numbered($stage) as $number => $cut) {
            $axis = $stage->plant->axes[(int) $cut->axis];
            $best = null;
            foreach ($cut->node === null ? self::ALONG : [$cut->node / max(1, $axis->nodes() - 1)] as $share) {
                [$x, $y] = $view->project($places[$axis->id]->node(($axis->nodes() - 1) * $share));
                $air = min([$apartMm, ...array_map(
                    static fn (Seal $seal): float => hypot($seal->at->x - $x, $seal->at->y - $y), $seals,
                )]);
                if ($best === null || $air > $best[0]) {
                    $best = [$air, new Spot($x, $y)];
                }
            }
            // Where there is no room the list of cuts tells it.
            if ($best[0] > 0.4 * $apartMm) {
                $seals[] = new Seal($best[1], $number);
            }
        }

        return $seals;
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
