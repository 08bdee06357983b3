<?php

declare(strict_types=1);

namespace Tests\Support;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Planning\Season\Brief;
use PruningHook\Core\Planning\Season\Crew;
use PruningHook\Core\Planning\Season\Garden;
use PruningHook\Core\Planning\Season\Place;
use PruningHook\Core\Planning\Season\Plan;
use PruningHook\Core\Planning\Season\Planner;
use PruningHook\Core\Planning\Season\Visit;
use PruningHook\Core\Planning\Season\Work;

/** Briefs as small as a test needs: a depot at 51.2 north, 1.1 west, and two weeks of January 2027 from a Monday. */
final class TestBrief
{
    /**
     * @param  list<Crew>  $crews
     * @param  list<Garden>  $gardens
     * @param  list<Work>  $tasks
     * @param  list<Visit>  $fixed
     * @param  list<Visit>  $present
     */
    public static function of(
        array $crews,
        array $gardens,
        array $tasks,
        array $fixed = [],
        array $present = [],
        int $stay = 0,
    ): Brief {
        return new Brief(
            Span::of(self::day(4), self::day(17)),
            new Place(51.2, -1.1),
            $crews,
            $gardens,
            $tasks,
            $fixed,
            20,
            $present,
            $stay,
        );
    }

    public static function day(int $january): Day
    {
        return Day::of(2027, 1, $january);
    }

    /** A crew from 8 to 16 o'clock, Monday to Friday. @param  list<string>  $skills @param  list<Day>  $off */
    public static function crew(
        string $ref = 'c',
        int $people = 1,
        array $skills = [],
        bool $overtime = false,
        array $off = [],
        int $hours = 8,
    ): Crew {
        return new Crew(
            $ref, $people, $skills, $overtime, array_fill_keys(range(1, 5), [8 * 60, (8 + $hours) * 60]), $off,
        );
    }

    /**
     * North of the depot by so many hundredths of a degree: each is 2.4 minutes away.
     *
     * @param  list<int>  $closed
     * @param  list<int>  $wished
     */
    public static function garden(
        string $ref,
        int $north,
        int $setUp = 15,
        array $closed = [],
        array $wished = [],
    ): Garden {
        return new Garden($ref, new Place(51.2 + $north / 100, -1.1), $setUp, $closed, wished: $wished);
    }

    /** @param  list<string>  $skills */
    public static function work(
        string $ref,
        string $garden,
        int $minutes,
        int $opens = 4,
        ?int $bestFrom = null,
        ?int $bestTo = null,
        int $closes = 17,
        array $skills = [],
        float $weight = 1.0,
        int $people = 1,
    ): Work {
        return new Work(
            $ref,
            $garden,
            Window::of(
                self::day($opens), self::day($bestFrom ?? $opens), self::day($bestTo ?? $closes), self::day($closes),
            ),
            $minutes,
            $skills,
            $weight,
            $people,
        );
    }

    public static function plan(Brief $brief, int $tries = 300, int $seed = 1): Plan
    {
        return Planner::plan($brief, $seed, static fn (int $try): float => $tries > 0 ? $try / $tries : 1.0);
    }

    /** @return list<string> "garden crew day tasks" of each visit */
    public static function told(Plan $plan): array
    {
        return array_map(static fn (Visit $visit): string => sprintf(
            '%s %s %d %s', $visit->garden, $visit->crew, $visit->on->dayOfMonth(), implode('+', $visit->tasks),
        ), $plan->visits);
    }
}
