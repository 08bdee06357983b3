<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/**
 * The shortest way from the depot through gardens and back. Up to nine gardens exactly, by the dynamic programme of M.
 * Held and R. M. Karp (Journal of SIAM 10, 1962; from memory); of more, by turning stretches round and moving gardens
 * as long as that shortens it.
 */
final class Rounds
{
    public const EXACT = 9;

    /** Known rounds are forgotten beyond so many, so that a long search does not fill the memory. */
    private const KNOWN = 20_000;

    /** @var array<string, array{list<int>, int}> */
    private array $known = [];

    /** @param  list<list<int>>  $travel minutes from place to place: 0 is the depot, then the gardens */
    public function __construct(private readonly array $travel)
    {
    }

    /**
     * @param  list<int>  $gardens
     * @return array{list<int>, int} in the best order, and its minutes
     */
    public function shortest(array $gardens): array
    {
        $sorted = $gardens;
        sort($sorted);
        $key = implode(' ', $sorted);
        if (! isset($this->known[$key])) {
            if (count($this->known) >= self::KNOWN) {
                $this->known = [];
            }
            $this->known[$key] = count($sorted) <= self::EXACT ? $this->exact($sorted) : $this->good($gardens);
        }

        return $this->known[$key];
    }

    /**
     * Visits of one crew day in the order in which they are driven shortest.
     *
     * @param  list<Visit>  $visits
     * @return list<Visit>
     */
    public static function inOrder(Brief $brief, array $visits): array
    {
        $gardens = array_column($brief->gardens, null, 'ref');
        $places = [$brief->depot, ...array_map(
            static fn (Visit $visit): ?Place => $gardens[$visit->garden]->place, $visits,
        )];
        $travel = array_map(static fn (?Place $from): array => array_map(
            static fn (?Place $to): int => $from === $to ? 0 : $brief->way($from, $to), $places,
        ), $places);
        [$round] = (new self($travel))->shortest(array_keys($visits));
        // Either way round is as long: work begins where they are sooner.
        if ($round !== [] && $travel[0][$round[count($round) - 1] + 1] < $travel[0][$round[0] + 1]) {
            $round = array_reverse($round);
        }

        return array_map(static fn (int $visit): Visit => $visits[$visit], $round);
    }

    /** @param  list<int>  $round */
    public function minutes(array $round): int
    {
        $minutes = $from = 0;
        foreach ($round as $garden) {
            $minutes += $this->travel[$from][$garden + 1];
            $from = $garden + 1;
        }

        return $minutes + $this->travel[$from][0];
    }

    /**
     * @param  list<int>  $gardens
     * @return array{list<int>, int}
     */
    private function exact(array $gardens): array
    {
        $count = count($gardens);
        if ($count < 3) {
            return [$gardens, $this->minutes($gardens)];
        }
        $all = (1 << $count) - 1;
        // The shortest way from the depot through a set of gardens that ends in one of them.
        $way = $came = [];
        foreach ($gardens as $i => $garden) {
            $way[1 << $i][$i] = $this->travel[0][$garden + 1];
        }
        for ($set = 1; $set <= $all; $set++) {
            foreach ($way[$set] ?? [] as $last => $minutes) {
                $row = $this->travel[$gardens[$last] + 1];
                for ($next = 0; $next < $count; $next++) {
                    if (($set >> $next & 1) === 1) {
                        continue;
                    }
                    $longer = $minutes + $row[$gardens[$next] + 1];
                    $with = $set | 1 << $next;
                    if (! isset($way[$with][$next]) || $longer < $way[$with][$next]) {
                        $way[$with][$next] = $longer;
                        $came[$with][$next] = $last;
                    }
                }
            }
        }

        return $this->home($gardens, $way[$all], $came);
    }

    /**
     * The way home from the best of the last gardens, and the round it ends, read back from there.
     *
     * @param  non-empty-list<int>  $gardens
     * @param  non-empty-array<int, int>  $ways  minutes through all of them, by the last
     * @param  array<int, array<int, int>>  $came  the garden before, by set and last
     * @return array{list<int>, int}
     */
    private function home(array $gardens, array $ways, array $came): array
    {
        $home = [];
        foreach ($ways as $end => $minutes) {
            $home[$end] = $minutes + $this->travel[$gardens[$end] + 1][0];
        }
        $best = min($home);
        $last = (int) array_search($best, $home, true);
        $round = [];
        for ($set = (1 << count($gardens)) - 1; $set !== 0;) {
            $round[] = $gardens[$last];
            $from = $came[$set][$last] ?? 0;
            $set ^= 1 << $last;
            $last = $from;
        }

        return [array_reverse($round), $best];
    }

    /**
     * @param  list<int>  $round
     * @return array{list<int>, int}
     */
    private function good(array $round): array
    {
        $minutes = $this->minutes($round);
        do {
            $shorter = false;
            foreach ($this->others($round) as $other) {
                $its = $this->minutes($other);
                if ($its < $minutes) {
                    [$round, $minutes, $shorter] = [$other, $its, true];
                    break;
                }
            }
        } while ($shorter);

        return [$round, $minutes];
    }

    /**
     * Every round with one stretch turned round (2-opt), or one garden elsewhere (Or-opt).
     *
     * @param  list<int>  $round
     * @return iterable<list<int>>
     */
    private function others(array $round): iterable
    {
        $count = count($round);
        for ($from = 0; $from < $count; $from++) {
            for ($to = $from + 1; $to < $count; $to++) {
                $turned = array_reverse(array_slice($round, $from, $to - $from + 1));
                yield [...array_slice($round, 0, $from), ...$turned, ...array_slice($round, $to + 1)];
            }
        }
        for ($from = 0; $from < $count; $from++) {
            $without = $round;
            array_splice($without, $from, 1);
            for ($to = 0; $to < $count; $to++) {
                $moved = $without;
                array_splice($moved, $to, 0, [$round[$from]]);
                yield $moved;
            }
        }
    }
}
