<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Fault;

/**
 * A brief as plain numbers, since a plan tries millions of places: days count from the beginning of the horizon, crews,
 * gardens and tasks by their place in the brief; a crew day is crew times days plus day.
 */
final readonly class PlanningProblem
{
    /** As many tasks are moved one by one; of more, those of one garden with one window go together. */
    private const ONE_BY_ONE = 400;

    /** Together they fill at most this share of the shortest crew day, so that a task group always finds room. */
    private const SHARE_OF_A_DAY = 0.25;

    /** So many neighbours of a garden are looked at first. */
    private const NEAR = 12;

    public int $days;

    /** @var list<TaskGroup> */
    public array $groups;

    /** @var list<list<int>> minutes from place to place: 0 is the depot, then the gardens */
    public array $travel;

    /** @var list<list<int>> by garden, its nearest neighbours */
    public array $near;

    /** @var list<int> minutes of a crew day, overtime aside; 0 where the crew does not work */
    public array $length;

    /** @var list<int> the same with overtime */
    public array $most;

    /** @var list<bool> by day: whether any crew works */
    public array $anyoneWorks;

    /** @var list<int> by crew */
    public array $people;

    /** @var array<int, int> who comes on crew days on which not all do */
    public array $fewer;

    /** @var list<int> by garden */
    public array $setUp;

    /** @var list<list<bool>> by garden and day of the horizon: whether nobody may come */
    public array $shut;

    /** @var list<array<int, true>> by garden, the days its client did not ask for */
    public array $unasked;

    /** @var list<array{int, int}> crew day and garden of each fixed visit */
    public array $fixed;

    /** @var array<int, int> for task groups of the present plan, the crew day they stand on */
    public array $home;

    /** @var array<int, float> by task group: what moving it away must be worth */
    public array $stay;

    /** @var list<string> refs of gardens without a place */
    public array $placeless;

    /** @throws Fault where a ref leads nowhere */
    public function __construct(public Brief $brief)
    {
        $this->days = $brief->horizon->days();
        $from = $brief->horizon->from;
        $length = $most = $fewer = [];
        foreach ($brief->crews as $crew) {
            for ($day = 0; $day < $this->days; $day++) {
                $works = $crew->works($from->plus($day));
                if ($works !== null && $works->people < $crew->people) {
                    $fewer[count($length)] = $works->people;
                }
                $length[] = $works->length ?? 0;
                $most[] = $works?->most() ?? 0;
            }
        }
        [$this->length, $this->most, $this->fewer] = [$length, $most, $fewer];
        $anyone = array_fill(0, $this->days, false);
        foreach ($length as $crewDay => $minutes) {
            $anyone[$crewDay % $this->days] = $anyone[$crewDay % $this->days] || $minutes > 0;
        }
        $this->anyoneWorks = array_values($anyone);
        $this->people = array_map(static fn (Crew $crew): int => $crew->people, $brief->crews);
        $this->setUp = array_map(static fn (Garden $garden): int => $garden->setUp, $brief->gardens);
        $this->shut = array_map(
            static fn (Garden $garden): array => self::shut($garden, $brief->horizon),
            $brief->gardens,
        );
        $this->unasked = array_map(
            static fn (Garden $garden): array => self::unasked($garden, $brief->horizon), $brief->gardens,
        );
        $this->travel = self::travel($brief);
        $this->near = self::near($this->travel);
        $this->placeless = array_values(array_map(
            static fn (Garden $garden): string => $garden->ref,
            array_filter($brief->gardens, static fn (Garden $garden): bool => $garden->place === null),
        ));
        $gardens = array_flip(array_map(static fn (Garden $garden): string => $garden->ref, $brief->gardens));
        [$this->fixed, $pinned] = $this->fixed($brief, $gardens);
        [$this->groups, $byTask] = $this->groups($brief, $gardens, $pinned);
        [$this->home, $this->stay] = $this->present($brief, $byTask);
    }

    public function day(int $day): Day
    {
        return $this->brief->horizon->from->plus($day);
    }

    /** What it costs that a task group lies on a day. */
    public function price(TaskGroup $group, int $day): float
    {
        $isUnasked = isset($this->unasked[$group->garden][$day]);

        return $group->outside($day) + ($isUnasked ? Price::UNASKED * $group->weight : 0.0);
    }

    public function isShut(int $garden, int $day): bool
    {
        return $this->shut[$garden][$day];
    }

    /** How many come on a crew day. */
    public function peopleOn(int $crewDay): int
    {
        return $this->fewer[$crewDay] ?? $this->people[intdiv($crewDay, $this->days)];
    }

    /**
     * The most that one visit can hold there, in person-minutes.
     *
     * @param  int  $way  minutes from the depot
     */
    public function mostPersonMinutes(int $garden, int $way): int
    {
        $most = 0;
        foreach ($this->most as $crewDay => $minutes) {
            $most = max(
                $most, ($minutes - $this->setUp[$garden] - 2 * $way) * $this->people[intdiv($crewDay, $this->days)],
            );
        }

        return $most;
    }

    /**
     * The shortest way from the depot by whatever stops, since with whole minutes a detour can be the shorter.
     *
     * @return list<int> by place
     */
    public function ways(): array
    {
        $ways = $this->travel[0];
        do {
            $shorter = false;
            foreach ($this->travel as $from => $row) {
                $so = $ways[$from];
                foreach ($row as $to => $minutes) {
                    if ($so + $minutes < $ways[$to]) {
                        $ways[$to] = $so + $minutes;
                        $shorter = true;
                    }
                }
            }
        } while ($shorter);

        return $ways;
    }

    /** Whether there is a crew day on which it could be all that is done. */
    public function fitsAlone(TaskGroup $group): bool
    {
        foreach ($group->crews as $crew) {
            $way = 2 * $this->travel[0][$group->garden + 1];
            for ($day = $group->opens; $day <= $group->closes; $day++) {
                $people = $this->peopleOn($crew * $this->days + $day);
                $minutes = $way + Price::visit($group->minutes, $people, $this->setUp[$group->garden]);
                if (
                    $people >= $group->people
                    && $minutes <= $this->most[$crew * $this->days + $day]
                    && ! $this->isShut($group->garden, $day)
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array<int, true> the days its client did not ask for */
    private static function unasked(Garden $garden, Span $horizon): array
    {
        return $garden->wished === [] ? [] : array_fill_keys(array_filter(
            range(0, $horizon->days() - 1),
            static fn (int $day): bool => $garden->isUnasked($horizon->from->plus($day)),
        ), true);
    }

    /** @return list<bool> by day */
    private static function shut(Garden $garden, Span $horizon): array
    {
        $shut = [];
        for ($day = 0; $day < 7; $day++) {
            $shut[] = in_array($horizon->from->plus($day)->weekday(), $garden->closed, true);
        }
        for ($day = 7, $days = $horizon->days(); $day < $days; $day++) {
            $shut[] = $shut[$day - 7];
        }
        foreach ($garden->off as $off) {
            if ($horizon->holds($off)) {
                $shut[$horizon->from->daysUntil($off)] = true;
            }
        }

        return array_values($shut);
    }

    /**
     * @param  list<list<int>>  $travel
     * @return list<list<int>>
     */
    private static function near(array $travel): array
    {
        $near = [];
        for ($garden = 1, $count = count($travel); $garden < $count; $garden++) {
            $row = $travel[$garden];
            unset($row[0], $row[$garden]);
            asort($row);
            $near[] = array_map(
                static fn (int $place): int => $place - 1,
                array_slice(array_keys($row), 0, self::NEAR),
            );
        }

        return $near;
    }

    /** @return list<list<int>> */
    private static function travel(Brief $brief): array
    {
        $places = [$brief->depot, ...array_map(static fn (Garden $garden): ?Place => $garden->place, $brief->gardens)];

        return array_map(
            static fn (int $from): array => array_map(
                static fn (int $to): int => $from === $to ? 0 : $brief->way($places[$from], $places[$to]),
                array_keys($places),
            ),
            array_keys($places),
        );
    }

    /**
     * @param  array<string, int>  $gardens
     * @param  array<string, int>  $pinned  crew day by task
     * @return array{list<TaskGroup>, array<string, int>} and the task group of each task
     *
     * @throws Fault
     */
    private function groups(Brief $brief, array $gardens, array $pinned): array
    {
        $oneByOne = count($brief->tasks) <= self::ONE_BY_ONE;
        $shortest = min([24 * 60, ...array_filter($this->length, static fn (int $minutes): bool => $minutes > 0)]);
        $crews = $together = [];
        foreach ($brief->tasks as $index => $task) {
            $able = implode(' ', $task->skills).'|'.$task->people;
            $crews[$able] ??= array_keys(array_filter(
                $brief->crews, static fn (Crew $crew): bool => $crew->can($task->skills, $task->people),
            ));
            $garden = $gardens[$task->garden] ?? throw new Fault("there is no garden \"$task->garden\"");
            $window = $task->window;
            $same = $oneByOne ? "$index" : implode(' ', [
                $garden, $window->opens->number, $window->bestFrom->number, $window->bestTo->number,
                $window->closes->number, $able, $pinned[$task->ref] ?? '',
            ]);
            $together[$same][] = [$index, $task->minutes, $task->weight, $able];
        }
        $groups = $byTask = [];
        foreach ($together as $tasks) {
            $garden = $gardens[$brief->tasks[$tasks[0][0]]->garden];
            $share = self::SHARE_OF_A_DAY
                * max(0, $shortest - $this->setUp[$garden] - 2 * $this->travel[0][$garden + 1]);
            foreach (self::portions($tasks, (int) $share) as $portion) {
                $first = $brief->tasks[$portion[0][0]];
                foreach ($portion as [$index]) {
                    $byTask[$brief->tasks[$index]->ref] = count($groups);
                }
                $groups[] = $this->group(
                    $first, $portion, $garden, $crews[$portion[0][3]], $pinned[$first->ref] ?? null,
                );
            }
        }

        return [$groups, $byTask];
    }

    /**
     * @param  non-empty-list<array{int, int, float, string}>  $tasks  place in the brief, minutes, weight, and who can
     * @param  list<int>  $crews
     */
    private function group(
        Work $work,
        array $tasks,
        int $garden,
        array $crews,
        ?int $pinned,
    ): TaskGroup {
        $from = $this->brief->horizon->from;
        $window = $work->window;
        $opens = max(0, $from->daysUntil($window->opens));
        $closes = min($this->days - 1, $from->daysUntil($window->closes));
        while ($opens <= $closes && ! $this->isPossible($garden, $crews, $opens)) {
            $opens++;
        }
        while ($opens <= $closes && ! $this->isPossible($garden, $crews, $closes)) {
            $closes--;
        }

        return new TaskGroup(
            array_column($tasks, 0),
            $garden,
            $opens,
            $from->daysUntil($window->bestFrom),
            $from->daysUntil($window->bestTo),
            $closes,
            array_sum(array_column($tasks, 1)),
            array_sum(array_column($tasks, 2)),
            $crews,
            $work->people,
            $pinned,
        );
    }

    /**
     * Whether any of the crews works on a day on which the garden may be visited.
     *
     * @param  list<int>  $crews
     */
    private function isPossible(int $garden, array $crews, int $day): bool
    {
        if ($this->isShut($garden, $day)) {
            return false;
        }
        foreach ($crews as $crew) {
            if ($this->length[$crew * $this->days + $day] > 0) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  non-empty-list<array{int, int, float, string}>  $tasks
     * @return list<non-empty-list<array{int, int, float, string}>>
     */
    private static function portions(array $tasks, int $share): array
    {
        $portions = [];
        $sum = 0;
        foreach ($tasks as $task) {
            if ($portions === [] || $sum + $task[1] > $share) {
                $portions[] = [];
                $sum = 0;
            }
            $portions[count($portions) - 1][] = $task;
            $sum += $task[1];
        }

        return $portions;
    }

    /**
     * Crew day and garden of each fixed visit, and the crew day of each of their tasks.
     *
     * @param  array<string, int>  $gardens
     * @return array{list<array{int, int}>, array<string, int>}
     *
     * @throws Fault where a visit is of no crew or garden, or lies outside the horizon
     */
    private function fixed(Brief $brief, array $gardens): array
    {
        $fixed = $pinned = [];
        foreach ($brief->fixed as $visit) {
            $garden = $gardens[$visit->garden] ?? throw new Fault("there is no garden \"$visit->garden\"");
            $crewDay = $this->crewDay($visit)
                ?? throw new Fault("the visit of $visit->on lies with no crew, or outside the horizon");
            $fixed[] = [$crewDay, $garden];
            foreach ($visit->tasks as $task) {
                $pinned[$task] = $crewDay;
            }
        }

        return [$fixed, $pinned];
    }

    private function crewDay(Visit $visit): ?int
    {
        $day = $this->brief->horizon->from->daysUntil($visit->on);
        foreach ($this->brief->crews as $index => $crew) {
            if ($crew->ref === $visit->crew && $day >= 0 && $day < $this->days) {
                return $index * $this->days + $day;
            }
        }

        return null;
    }

    /**
     * @param  array<string, int>  $byTask
     * @return array{array<int, int>, array<int, float>}
     */
    private function present(Brief $brief, array $byTask): array
    {
        $home = $stay = [];
        foreach ($brief->present as $visit) {
            $crewDay = $this->crewDay($visit);
            $groups = [];
            foreach ($visit->tasks as $task) {
                if (isset($byTask[$task])) {
                    $groups[$byTask[$task]] = true;
                }
            }
            if ($crewDay === null) {
                continue;
            }
            foreach (array_keys($groups) as $group) {
                $home[$group] = $crewDay;
                $stay[$group] = (float) $brief->stay / count($groups);
            }
        }

        return [$home, $stay];
    }
}
