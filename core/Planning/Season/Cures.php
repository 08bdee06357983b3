<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

use PruningHook\Core\Calendar\Day;

/** Why each task that is left out found no day, and what would cure it most cheaply. */
final readonly class Cures
{
    /** A window is not thought wider than by so many days. */
    private const WIDER = 60;

    private function __construct(private Board $board)
    {
    }

    /** @return list<LeftOut> in the order of the brief */
    public static function of(Board $board): array
    {
        $left = [];
        foreach ($board->leftOut() as $lot) {
            foreach ($board->ground->lots[$lot]->tasks as $task) {
                $left[$task] = $lot;
            }
        }
        ksort($left);
        $cures = new self($board);
        $told = [];
        foreach ($left as $task => $lot) {
            [$because, $cure] = $cures->cure($board->ground->lots[$lot]);
            $told[] = new LeftOut($board->ground->brief->tasks[$task]->ref, $because, $cure);
        }

        return $told;
    }

    /** @return array{string, string} */
    private function cure(Lot $lot): array
    {
        $ground = $this->board->ground;
        $work = $ground->brief->tasks[$lot->tasks[0]];
        if ($lot->crews === []) {
            $needs = [...$work->skills, ...($work->people > 1 ? ["$work->people people"] : [])];

            return ['no crew has '.implode(' and ', $needs), 'a crew with '.implode(' and ', $needs)];
        }
        $open = $lot->opens <= $lot->closes;
        $because = match (true) {
            $work->window->closes->isBefore($ground->brief->horizon->from)
                || $work->window->opens->isAfter($ground->brief->horizon->to) => 'its window lies outside the horizon',
            ! $open => sprintf(
                'no open day: no crew works while the garden may be visited between %s and %s',
                $work->window->opens, $work->window->closes,
            ),
            ! $ground->fitsAlone($lot) => 'no crew day is long enough for it, way and set-up included',
            default => sprintf(
                'capacity: the crews that can do it are full between %s and %s',
                $work->window->opens, $work->window->closes,
            ),
        };
        if ($open && ! $ground->fitsAlone($lot)) {
            return [$because, sprintf(
                'in parts: at most %d person-minutes fit into a day there',
                max(0, $ground->mostPersonMinutes($lot->garden, $ground->travel[0][$lot->garden + 1])),
            )];
        }
        $options = array_filter([$this->anotherDay($lot, $work), $this->wider($lot, $work)]);
        usort($options, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return [$because, $options[0][1] ?? 'none within '.self::WIDER.' days: more hours or another crew'];
    }

    /**
     * A crew day more within the window, on a day on which a crew that can do it has off.
     *
     * @return ?array{float, string} what it adds to the price, and in words
     */
    private function anotherDay(Lot $lot, Work $work): ?array
    {
        $ground = $this->board->ground;
        $best = null;
        $from = Day::latest($work->window->opens, $ground->brief->horizon->from);
        $to = Day::earliest($work->window->closes, $ground->brief->horizon->to);
        foreach ($lot->crews as $crew) {
            for ($on = $from; ! $on->isAfter($to); $on = $on->plus(1)) {
                $day = $ground->brief->horizon->from->daysUntil($on);
                if ($ground->length[$crew * $ground->days + $day] > 0 || $ground->isShut($lot->garden, $day)) {
                    continue;
                }
                $price = $ground->price($lot, $day) + $ground->setUp[$lot->garden]
                    + 2 * $ground->travel[0][$lot->garden + 1];
                if ($best === null || $price < $best[0]) {
                    $best = [$price, sprintf(
                        'another crew day on %s for %s, %d min more', $on, $ground->brief->crews[$crew]->ref,
                        (int) round($price),
                    )];
                }
            }
        }

        return $best;
    }

    /**
     * The nearest day outside the window on which there is room.
     *
     * @return ?array{float, string}
     */
    private function wider(Lot $lot, Work $work): ?array
    {
        $ground = $this->board->ground;
        $from = $ground->brief->horizon->from;
        for ($days = 1; $days <= self::WIDER; $days++) {
            foreach ([$work->window->opens->minus($days), $work->window->closes->plus($days)] as $on) {
                $day = $from->daysUntil($on);
                if ($day < 0 || $day >= $ground->days || $ground->isShut($lot->garden, $day)) {
                    continue;
                }
                foreach ($lot->crews as $crew) {
                    $crewDay = $crew * $ground->days + $day;
                    $more = isset($this->board->load[$crewDay][$lot->garden])
                        ? 0
                        : $ground->setUp[$lot->garden] + $this->board->detour($crewDay, $lot->garden);
                    $minutes = $more + Price::visit($lot->minutes, $ground->peopleOn($crewDay), 0);
                    if ($ground->length[$crewDay] > 0 && $this->board->room($crewDay) >= $minutes) {
                        return [$ground->price($lot, $day) + $more, sprintf(
                            'a window wider by %d %s, to %s, %d min more', $days, $days === 1 ? 'day' : 'days', $on,
                            (int) round($ground->price($lot, $day) + $more),
                        )];
                    }
                }
            }
        }

        return null;
    }
}
