<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

use PruningHook\Core\Calendar\Day;

/** A crew's day: its visits in the order they are driven, with their times, and how full it is. */
final readonly class Round
{
    /**
     * @param  list<Visit>  $visits
     * @param  int  $travel  minutes on the road, the way home included
     * @param  int  $setUp  minutes of set-up
     * @param  int  $used  minutes from leaving the depot to being back
     * @param  int  $length  minutes there are, overtime aside; 0 where the crew does not work
     * @param  int  $most  the same with overtime
     */
    private function __construct(
        public string $crew,
        public Day $on,
        public array $visits,
        public int $travel,
        public int $setUp,
        public int $used,
        public int $length,
        public int $most,
    ) {
    }

    /**
     * @param  list<Visit>  $visits  of one crew on one day
     * @param  array<string, Garden>  $gardens  by ref
     * @param  array<string, Work>  $tasks  by ref
     */
    public static function of(Brief $brief, Crew $crew, Day $on, array $visits, array $gardens, array $tasks): self
    {
        $works = $crew->works($on);
        $opens = $works->opens ?? 0;
        $from = $brief->depot;
        [$at, $travel, $setUp, $timed] = [$opens, 0, 0, []];
        foreach ($visits as $visit) {
            $garden = $gardens[$visit->garden];
            $way = $brief->way($from, $garden->place);
            $minutes = array_sum(array_map(static fn (string $ref): int => $tasks[$ref]->minutes, $visit->tasks));
            $inGarden = Price::visit($minutes, $works->people ?? $crew->people, $garden->setUp);
            $timed[] = new Visit(
                $visit->garden, $visit->crew, $on, $visit->tasks, $at + $way, $at + $way + $inGarden,
            );
            $at += $way + $inGarden;
            $travel += $way;
            $setUp += $garden->setUp;
            $from = $garden->place;
        }
        $home = $brief->way($from, $brief->depot);

        return new self(
            $crew->ref, $on, $timed, $travel + $home, $setUp, $at + $home - $opens, $works->length ?? 0,
            $works?->most() ?? 0,
        );
    }

    /** Minutes beyond the length of the day. */
    public function over(): int
    {
        return max(0, $this->used - $this->length);
    }
}
