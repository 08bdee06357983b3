<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/** Lots without a day find the cheapest one, in the order they come: together while they can, one by one otherwise. */
final readonly class Refill
{
    /**
     * @param  list<list<int>>  $visits  lots of one garden each
     * @param  float  $noise  minutes by which prices are blurred
     */
    public static function with(Board $board, array $visits, float $noise = 0.0, ?int $not = null): void
    {
        foreach ($visits as $lots) {
            if ($lots === []) {
                continue;
            }
            $place = $board->place(Wanted::of($board->ground, $lots, $not, $noise));
            if ($place !== null) {
                $board->put($lots, $place[0]);
            } elseif (count($lots) > 1) {
                self::apart($board, $lots, $noise);
            }
        }
    }

    /**
     * Those whose window closes first look first.
     *
     * @param  list<int>  $lots
     */
    private static function apart(Board $board, array $lots, float $noise): void
    {
        usort($lots, static fn (int $a, int $b): int => [$board->ground->lots[$a]->closes, $a]
            <=> [$board->ground->lots[$b]->closes, $b]);
        foreach ($lots as $lot) {
            $place = $board->place(Wanted::of($board->ground, [$lot], null, $noise));
            if ($place !== null) {
                $board->put([$lot], $place[0]);
            }
        }
    }
}
