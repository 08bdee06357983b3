<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/**
 * The first plan: what the present one has stays where it can; of the rest each garden says on which days it would be
 * visited best, and these visits go to the crew days where they cost least, those with the fewest days first.
 */
final readonly class Builder
{
    private const WEDGES = 32;

    public static function fill(Board $board): void
    {
        self::stay($board);
        $ground = $board->ground;
        $byGarden = $free = [];
        foreach ($board->leftOut() as $index) {
            $byGarden[$ground->lots[$index]->garden][] = $index;
        }
        $visits = [];
        foreach ($byGarden as $garden => $lots) {
            $free = [];
            foreach ($board->crewDays[$garden] ?? [] as $crewDay => $true) {
                $free[$crewDay % $ground->days] = true;
            }
            // Among neighbours a visit adds about as much way as it is from the depot, shared by three.
            $aVisit = $ground->setUp[$garden] + $ground->travel[0][$garden + 1] * 2 / 3;
            array_push($visits, ...array_values(IdealDays::of($ground, $lots, $aVisit, 0.0, $free)->visits));
        }
        foreach (self::inTurn($ground, $visits) as $lots) {
            Refill::with($board, [$lots]);
        }
        Refill::with($board, array_map(static fn (int $lot): array => [$lot], $board->leftOut()));
        foreach (array_keys($board->round) as $crewDay) {
            $board->order($crewDay);
        }
        $board->keep();
    }

    private static function stay(Board $board): void
    {
        $homes = [];
        foreach ($board->ground->home as $lot => $crewDay) {
            if ($board->at[$lot] === null) {
                $homes[$crewDay][$board->ground->lots[$lot]->garden][] = $lot;
            }
        }
        foreach ($homes as $crewDay => $gardens) {
            foreach ($gardens as $lots) {
                self::back($board, $lots, $crewDay);
            }
        }
    }

    /**
     * A visit goes back to where it stood, or as much of it as has room.
     *
     * @param  non-empty-list<int>  $lots
     */
    private static function back(Board $board, array $lots, int $crewDay): void
    {
        if ($board->fits(Wanted::of($board->ground, $lots), $crewDay)) {
            $board->put($lots, $crewDay);

            return;
        }
        foreach ($lots as $lot) {
            if ($board->fits(Wanted::of($board->ground, [$lot]), $crewDay)) {
                $board->put([$lot], $crewDay);
            }
        }
    }

    /**
     * Wedge by wedge round the depot, so that neighbours find each other on a round, and in each wedge the visits with
     * the fewest days first.
     *
     * @param  list<list<int>>  $visits
     * @return list<list<int>>
     */
    private static function inTurn(Ground $ground, array $visits): array
    {
        $turns = [];
        foreach ($visits as $index => $lots) {
            if ($lots === []) {
                continue;
            }
            $opens = $closes = [];
            foreach ($lots as $lot) {
                $opens[] = $ground->lots[$lot]->opens;
                $closes[] = $ground->lots[$lot]->closes;
            }
            $turns[] = [
                self::wedge($ground->brief, $ground->lots[$lots[0]]->garden), min($closes) - max($opens), $index,
            ];
        }
        sort($turns);

        return array_map(static fn (array $turn): array => $visits[$turn[2]], $turns);
    }

    private static function wedge(Brief $brief, int $garden): int
    {
        $place = $brief->gardens[$garden]->place;
        if ($place === null || $brief->depot === null) {
            return 0;
        }
        $east = ($place->longitude - $brief->depot->longitude) * cos(deg2rad($brief->depot->latitude));

        return (int) floor(self::WEDGES * (atan2($place->latitude - $brief->depot->latitude, $east) / M_PI + 1) / 2);
    }
}
