<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Amount\Positions;
use PruningHook\Core\Prescription\Task;

/**
 * A stretch of a vine's arm, to scale in mm: at each place the cane that is wanted and the spare kept as insurance,
 * with nodes counted, the mark of the rough pass and the mark of the final one.
 */
final readonly class VineArm
{
    private const SPACING = 150;

    /** A node about every so many mm of a cane. Common practice. */
    private const NODE_EVERY = 75;

    private const LENGTH = 900;

    /**
     * @param  list<Cane>  $canes
     */
    private function __construct(
        public int $width,
        public int $height,
        public array $canes,
        public int $roughNodes,
        public int $finalNodes,
        public string $says,
    ) {
    }

    public static function isFor(Task $task): bool
    {
        return ($task->amount(Effect::BudsOnCanes) ??
            $task->amount(Effect::NodesOnSpurs) ?? $task->amount(Effect::BudsOnNewCanes)) !==
            null;
    }

    /**
     * @param  Task  $rough  the rough pass, or the only one
     * @param  Task  $final  the final pass
     */
    public static function of(Task $rough, Task $final): self
    {
        $roughNodes = $rough->amount(Effect::BudsOnCanes)->target ?? 7;
        $finalNodes =
            $final->amount(Effect::NodesOnSpurs)->target ??
            $final->amount(Effect::BudsOnNewCanes)->target ?? 3;
        $canes = [];
        $length = ($roughNodes + 1) * self::NODE_EVERY;
        foreach (range(0, Positions::along(self::LENGTH, self::SPACING) - 1) as $index) {
            foreach ([[0, false], [42, true]] as [$aside, $insurance]) {
                $x = (float) (self::SPACING / 2 + $index * self::SPACING + $aside);
                // The spare leans away, so that each can be told.
                $lean = $insurance ? 0.1 : 0.0;
                $at = static fn (float $along): Spot => new Spot($x + $lean * $along, $along);
                $canes[] = new Cane(
                    new Line($x, 0.0, $x + $lean * $length, (float) $length),
                    array_map(
                        static fn (int $node): Spot => $at(self::NODE_EVERY * ($node - 0.6)),
                        range(1, $roughNodes),
                    ),
                    $insurance,
                    $at(self::NODE_EVERY * ($roughNodes - 0.35)),
                    // The base node counts as the first.
                    $insurance ? null : $at(self::NODE_EVERY * ($finalNodes - 0.35)),
                );
            }
        }

        return new self(
            self::LENGTH + 2 * self::SPACING, $length + 120, $canes, $roughNodes, $finalNodes,
            sprintf(
                'an arm with a place every %d cm: at each a cane and a spare; the rough pass leaves %d nodes on '
                    .'both, the final one %d on the better, the base node counted, and takes the spare out',
                intdiv(self::SPACING, 10), $roughNodes, $finalNodes,
            ),
        );
    }
}
