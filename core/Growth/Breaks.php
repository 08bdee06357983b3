<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

use PruningHook\Core\PlantBook\GrowthHabit;

/**
 * Which buds of a shoot break. On an upright one those near the tip, with a weight of exp(-(1 - u) / a) where u goes
 * from 0 at its foot to 1 at its tip (apical control; a is about 0.15, common practice); as it nears the level evenly,
 * about one every 15 cm. Just below a cut the next two to four.
 */
final readonly class Breaks
{
    /** Buds that are wanted for less than this sleep. Common practice. */
    private const WAKES = 0.06;

    /** Strength of the shoots just below a cut, the topmost first. Common practice. */
    private const BELOW_A_CUT = [1.0, 0.85, 0.7, 0.5];

    public function __construct(private GrowthHabit $habit)
    {
    }

    /**
     * @param  int  $from  first node of the season's growth
     * @param  int  $to  the one after its last
     * @return array<int, float> strength of what breaks, by node
     */
    public function along(Axis $axis, Place $place, int $from, int $to): array
    {
        $breaks = [];
        $nodes = $to - $from;
        $live = $nodes < 1 ? false : strpos($axis->buds, Axis::LIVE, $from);
        if ($live === false || $live >= $to) {
            return [];
        }
        $every = max(1, (int) round($this->habit->levelEveryMm / $axis->internodeMm));
        // It bends one way only: where both its ends stand upright, all of it does.
        $isUpright = max($place->leanOf($from - 0.5), $place->leanOf($to - 0.5)) <= $this->habit->figures->upright;
        $sum = 0.5;
        for ($node = $to - 1; $node >= $live; $node--) {
            if ($axis->buds[$node] !== Axis::LIVE) {
                continue;
            }
            $up = exp(-(1 - ($node - $from + 1) / $nodes) / $this->habit->apical);
            $level = $isUpright ? 0.0 : $this->levelness($place->leanOf($node - 0.5));
            // What lies far below an upright tip sleeps, however much of it there is.
            if ($isUpright && $up <= self::WAKES) {
                break;
            }
            $sum += (1 - $level) * $up + $level / $every;
            if ($sum >= 1.0 && max($level, $up) > self::WAKES) {
                $sum -= 1.0;
                $breaks[$node] = (1 - $level) * max(0.35, $up) + $level;
            }
        }

        return $breaks;
    }

    /**
     * @param  int  $last  that may break: fewer from old wood, none where the kind does not come again from it
     * @return array<int, float>
     */
    public function belowCut(Axis $axis, int $last): array
    {
        $breaks = [];
        for ($node = $axis->nodes() - 1; $node >= 0 && count($breaks) < $last; $node--) {
            if ($axis->buds[$node] === Axis::LIVE || $axis->buds[$node] === Axis::FLOWERED) {
                $breaks[$node] = self::BELOW_A_CUT[count($breaks)];
            }
        }

        return $breaks;
    }

    /** 0 for a shoot that stands, 1 for one that lies level. */
    public function levelness(float $leanDeg): float
    {
        [$from, $to] = [$this->habit->figures->upright, $this->habit->figures->level];

        return max(0.0, min(1.0, ($leanDeg - $from) / ($to - $from)));
    }
}
