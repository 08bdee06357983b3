<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

use Closure;
use PruningHook\Core\Planning\Season\Moves\ClearCrewDay;
use PruningHook\Core\Planning\Season\Moves\ClearGarden;
use PruningHook\Core\Planning\Season\Moves\ClearNeighbours;
use PruningHook\Core\Planning\Season\Moves\FitLeftOut;
use PruningHook\Core\Planning\Season\Moves\MoveVisit;
use PruningHook\Core\Planning\Season\Moves\ScatterVisits;

/**
 * Takes parts of the plan down and builds them up again (P. Shaw, CP 1998), and goes on from what it gets where that is
 * cheaper, or little dearer: the less the further the time is spent, so that it does not stop at the first hollow (S.
 * Kirkpatrick and others, Science 220, 1983; both from memory).
 */
final readonly class Improver
{
    /** Dearer by so many minutes is gone on from about one time in three: at the beginning, and at the end. */
    private const WARM = 20.0;

    private const COLD = 0.2;

    /** With so few task groups there is time to begin warm again so many times, and warmer. */
    private const FEW = 400;

    private const TIMES = 6;

    private const WARMER = 80.0;

    /**
     * @param  Closure(int): float  $spent the share of the time that is spent, by the number of tries; it ends at 1
     * @param  float  $enough  no plan costs less
     * @param  Closure(float, float): void  $tell  hears now and then the share of the time and what the best plan costs
     * @return int how many tries
     */
    public static function improve(Solution $solution, Closure $spent, float $enough, Closure $tell): int
    {
        $moves = [
            new MoveVisit, new MoveVisit, new ScatterVisits(6), new ClearCrewDay, new ClearNeighbours(6, 10),
            new ClearGarden(3), new ClearGarden(2),
        ];
        [$times, $warm] = count($solution->at) <= self::FEW ? [self::TIMES, self::WARMER] : [1, self::WARM];
        $best = $solution->copy();
        $bestCost = $solution->cost;
        $try = 0;
        for (; ($share = $spent($try)) < 1.0 && $bestCost > $enough + 1e-6; $try++) {
            $warmth = $warm * (self::COLD / $warm) ** fmod($times * $share, 1.0);
            $move = $solution->chance->getInt(0, 9) === 0 && $solution->isLeftOut()
                ? new FitLeftOut
                : $moves[$solution->chance->getInt(0, count($moves) - 1)];
            $move->try($solution);
            foreach ($solution->touched() as $crewDay) {
                $solution->order($crewDay);
            }
            $dearer = $solution->dearer();
            if ($dearer > 0 && $solution->chance->getInt(0, 1_000_000) > 1_000_000 * exp(-$dearer / $warmth)) {
                $solution->takeBack();
            } else {
                $solution->keep();
                if ($solution->cost < $bestCost - 1e-6) {
                    $bestCost = $solution->cost;
                    [$times, $warm] = count($solution->at) <= self::FEW ? [self::TIMES, self::WARMER] : [1, self::WARM];
                    $best = $solution->copy();
                }
            }
            if ($try % 64 === 0) {
                $tell($share, $bestCost);
            }
        }
        $solution->be($best);

        return $try;
    }
}
