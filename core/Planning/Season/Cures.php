<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

use PruningHook\Core\Calendar\Day;

/** Why each task that is left out found no day, and what would cure it most cheaply. */
final readonly class Cures
{
    /** A window is not thought wider than by so many days. */
    private const WIDER = 60;

    private function __construct(private Solution $solution)
    {
    }

    /** @return list<LeftOut> in the order of the brief */
    public static function of(Solution $solution): array
    {
        $left = [];
        foreach ($solution->leftOut() as $group) {
            foreach ($solution->problem->groups[$group]->tasks as $task) {
                $left[$task] = $group;
            }
        }
        ksort($left);
        $cures = new self($solution);
        $told = [];
        foreach ($left as $task => $group) {
            [$because, $cure] = $cures->cure($solution->problem->groups[$group]);
            $told[] = new LeftOut($solution->problem->brief->tasks[$task]->ref, $because, $cure);
        }

        return $told;
    }

    /** @return array{string, string} */
    private function cure(TaskGroup $group): array
    {
        $problem = $this->solution->problem;
        $work = $problem->brief->tasks[$group->tasks[0]];
        if ($group->crews === []) {
            $needs = [...$work->skills, ...($work->people > 1 ? ["$work->people people"] : [])];

            return ['no crew has '.implode(' and ', $needs), 'a crew with '.implode(' and ', $needs)];
        }
        $open = $group->opens <= $group->closes;
        $because = match (true) {
            $work->window->closes->isBefore($problem->brief->horizon->from)
                || $work->window->opens->isAfter($problem->brief->horizon->to) => 'its window lies outside the horizon',
            ! $open => sprintf(
                'no open day: no crew works while the garden may be visited between %s and %s',
                $work->window->opens, $work->window->closes,
            ),
            ! $problem->fitsAlone($group) => 'no crew day is long enough for it, way and set-up included',
            default => sprintf(
                'capacity: the crews that can do it are full between %s and %s',
                $work->window->opens, $work->window->closes,
            ),
        };
        if ($open && ! $problem->fitsAlone($group)) {
            return [$because, sprintf(
                'in parts: at most %d person-minutes fit into a day there',
                max(0, $problem->mostPersonMinutes($group->garden, $problem->travel[0][$group->garden + 1])),
            )];
        }
        $options = array_filter([$this->anotherDay($group, $work), $this->wider($group, $work)]);
        usort($options, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return [$because, $options[0][1] ?? 'none within '.self::WIDER.' days: more hours or another crew'];
    }

    /**
     * A crew day more within the window, on a day on which a crew that can do it has off.
     *
     * @return ?array{float, string} what it adds to the price, and in words
     */
    private function anotherDay(TaskGroup $group, Work $work): ?array
    {
        $problem = $this->solution->problem;
        $best = null;
        $from = Day::latest($work->window->opens, $problem->brief->horizon->from);
        $to = Day::earliest($work->window->closes, $problem->brief->horizon->to);
        foreach ($group->crews as $crew) {
            for ($on = $from; ! $on->isAfter($to); $on = $on->plus(1)) {
                $day = $problem->brief->horizon->from->daysUntil($on);
                if ($problem->length[$crew * $problem->days + $day] > 0 || $problem->isShut($group->garden, $day)) {
                    continue;
                }
                $price = $problem->price($group, $day) + $problem->setUp[$group->garden]
                    + 2 * $problem->travel[0][$group->garden + 1];
                if ($best === null || $price < $best[0]) {
                    $best = [$price, sprintf(
                        'another crew day on %s for %s, %d min more', $on, $problem->brief->crews[$crew]->ref,
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
    private function wider(TaskGroup $group, Work $work): ?array
    {
        $problem = $this->solution->problem;
        $from = $problem->brief->horizon->from;
        for ($days = 1; $days <= self::WIDER; $days++) {
            foreach ([$work->window->opens->minus($days), $work->window->closes->plus($days)] as $on) {
                $day = $from->daysUntil($on);
                if ($day < 0 || $day >= $problem->days || $problem->isShut($group->garden, $day)) {
                    continue;
                }
                foreach ($group->crews as $crew) {
                    $crewDay = $crew * $problem->days + $day;
                    $more = isset($this->solution->load[$crewDay][$group->garden])
                        ? 0
                        : $problem->setUp[$group->garden] + $this->solution->detour($crewDay, $group->garden);
                    $minutes = $more + Price::visit($group->minutes, $problem->peopleOn($crewDay), 0);
                    if ($problem->length[$crewDay] > 0 && $this->solution->room($crewDay) >= $minutes) {
                        return [$problem->price($group, $day) + $more, sprintf(
                            'a window wider by %d %s, to %s, %d min more', $days, $days === 1 ? 'day' : 'days', $on,
                            (int) round($problem->price($group, $day) + $more),
                        )];
                    }
                }
            }
        }

        return null;
    }
}
