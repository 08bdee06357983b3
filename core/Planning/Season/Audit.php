<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/**
 * What visits cost and what they break, worked out from the brief alone: the published price for a plan of whatever
 * origin. Within a crew day the visits are driven in the order they are given.
 */
final readonly class Audit
{
    /**
     * @param  list<string>  $breaks  one line for each rule that is broken
     * @param  list<Round>  $rounds  by day and crew as the visits come
     */
    private function __construct(public Cost $cost, public array $breaks, public array $rounds)
    {
    }

    /** @param  list<Visit>  $visits */
    public static function of(Brief $brief, array $visits): self
    {
        $gardens = array_column($brief->gardens, null, 'ref');
        $crews = array_column($brief->crews, null, 'ref');
        $tasks = array_column($brief->tasks, null, 'ref');
        $fixed = [];
        foreach ($brief->fixed as $visit) {
            $fixed += array_fill_keys($visit->tasks, true);
        }
        $days = $breaks = $done = [];
        $outside = $unasked = 0.0;
        foreach ($visits as $visit) {
            $days[$visit->crew.' '.$visit->on->number][] = $visit;
            array_push($breaks, ...self::outOfPlace($brief, $visit, $gardens[$visit->garden]));
            foreach ($visit->tasks as $ref) {
                array_push(
                    $breaks, ...(isset($done[$ref]) ? ["$ref is done twice"] : []),
                    ...self::broken($tasks[$ref], $visit, $crews[$visit->crew], isset($fixed[$ref])),
                );
                $done[$ref] = true;
                $outside += self::outside($tasks[$ref], $visit);
                $unasked += $gardens[$visit->garden]->isUnasked($visit->on)
                    ? Price::UNASKED * $tasks[$ref]->weight
                    : 0.0;
            }
        }
        $rounds = array_values(array_map(
            static fn (array $day): Round => Round::of(
                $brief, $crews[$day[0]->crew], $day[0]->on, $day, $gardens, $tasks,
            ),
            $days,
        ));
        $leftOut = Price::LEFT_OUT * array_sum(array_column(array_diff_key($tasks, $done), 'weight'));

        return new self(
            self::cost($rounds, $outside, $leftOut, $unasked), [...$breaks, ...self::tooLong($rounds)], $rounds,
        );
    }

    /** @param  list<Round>  $rounds */
    private static function cost(array $rounds, float $outside, float $leftOut, float $unasked): Cost
    {
        return new Cost(
            array_sum(array_column($rounds, 'travel')),
            array_sum(array_column($rounds, 'setUp')),
            $outside,
            Price::OVERTIME * array_sum(array_map(static fn (Round $round): int => $round->over(), $rounds)),
            $leftOut,
            $unasked,
        );
    }

    /**
     * @param  list<Round>  $rounds
     * @return list<string>
     */
    private static function tooLong(array $rounds): array
    {
        return array_values(array_map(
            static fn (Round $round): string => sprintf(
                '%s works %d min too long on %s', $round->crew, $round->over(), $round->on,
            ),
            array_filter($rounds, static fn (Round $round): bool => $round->used > $round->most),
        ));
    }

    /** @return list<Visit> the visits with their times */
    public function timed(): array
    {
        return array_merge(...array_column($this->rounds, 'visits'));
    }

    private static function outside(Work $task, Visit $visit): float
    {
        return Price::OUTSIDE_BEST * $task->weight * max(
            0, $visit->on->daysUntil($task->window->bestFrom), $task->window->bestTo->daysUntil($visit->on),
        );
    }

    /** @return list<string> */
    private static function outOfPlace(Brief $brief, Visit $visit, Garden $garden): array
    {
        return [
            ...($garden->isShut($visit->on) ? ["$garden->ref is closed on $visit->on"] : []),
            ...($brief->horizon->holds($visit->on) ? [] : ["$visit->on lies outside the horizon"]),
        ];
    }

    /** @return list<string> */
    private static function broken(Work $task, Visit $visit, Crew $crew, bool $fixed): array
    {
        $broken = [];
        if ($task->garden !== $visit->garden) {
            $broken[] = "$task->ref is not in $visit->garden";
        }
        if (
            ! $crew->can($task->skills, $task->people)
            || $task->people > ($crew->works($visit->on)->people ?? $crew->people)
        ) {
            $broken[] = "$crew->ref cannot do $task->ref";
        }
        if (
            ! $fixed
            && ($visit->on->isBefore($task->window->opens) || $visit->on->isAfter($task->window->closes))
        ) {
            $broken[] = "$task->ref may not be done on $visit->on";
        }

        return $broken;
    }
}
