<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Sun;
use PruningHook\Core\Fault;

/** Who works together, what they can do and when they work. */
final readonly class Crew
{
    /** @var array<int, true> days off, by number */
    private array $isOff;

    /**
     * @param  list<string>  $skills
     * @param  bool  $overtime  whether a day may be lengthened
     * @param  array<int, array{int, int}>  $week  by weekday, 1 for Monday: from and to, in minutes after midnight
     * @param  list<Day>  $off
     * @param  array<int, int>  $fewer  how many come on days when not all do, by the number of the day
     * @param  ?Place  $daylight  where the days must not be longer than the sun is up; null where it does not matter
     *
     * @throws Fault without people, or where a day ends before it begins
     */
    public function __construct(
        public string $ref,
        public int $people,
        public array $skills = [],
        public bool $overtime = false,
        public array $week = [],
        public array $off = [],
        public ?Place $daylight = null,
        public array $fewer = [],
    ) {
        if ($people < 1) {
            throw new Fault('a crew has at least one person');
        }
        if ($fewer !== [] && min($fewer) < 1) {
            throw new Fault('on a day on which nobody comes the crew is off');
        }
        foreach ($week as [$from, $to]) {
            if ($from < 0 || $to > 24 * 60 || $to <= $from) {
                throw new Fault('a day ends after it begins');
            }
        }
        $this->isOff = array_fill_keys(array_map(static fn (Day $day): int => $day->number, $off), true);
    }

    /** When it begins on a day and for how many minutes at the most, overtime aside; null where it does not work. */
    public function works(Day $day): ?CrewDay
    {
        $hours = $this->week[$day->weekday()] ?? null;
        if ($hours === null || isset($this->isOff[$day->number])) {
            return null;
        }
        $length = $hours[1] - $hours[0];
        if ($this->daylight !== null) {
            $length = min(
                $length, Sun::on($day, $this->daylight->latitude, $this->daylight->longitude)->daylight,
            );
        }

        return $length < 1 ? null : new CrewDay(
            $hours[0], $length, $this->overtime ? Price::MOST_OVERTIME : 0, $this->fewer[$day->number] ?? $this->people,
        );
    }

    /** @param  list<string>  $skills */
    public function can(array $skills, int $people): bool
    {
        return $people <= $this->people && array_diff($skills, $this->skills) === [];
    }
}
