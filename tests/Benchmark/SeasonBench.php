<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\GivenSite;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Planning\Season\Brief;
use PruningHook\Core\Planning\Season\Crew;
use PruningHook\Core\Planning\Season\Garden;
use PruningHook\Core\Planning\Season\Place;
use PruningHook\Core\Planning\Season\Work;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Schools\ChosenSchools;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A made-up firm's year to be planned: the plant book's own windows and minutes, gardens strewn round a depot. */
final readonly class SeasonBench
{
    private const YEAR = 2027;

    private const PLANTS = 40;

    private const CREWS = 6;

    public static function brief(PlantBook $book, int $gardens): Brief
    {
        $chance = new Randomizer(new Mt19937(20270220));
        $kinds = array_values($book->all());
        $prescriber = Prescriber::with($book);
        $practice = ChosenSchools::of($book->questions);
        $places = $tasks = [];
        for ($garden = 0; $garden < $gardens; $garden++) {
            $north = $chance->getInt(-2000, 2000) / 10_000;
            $east = $chance->getInt(-3000, 3000) / 10_000;
            $places[] = new Garden(
                "g$garden", new Place(51.2 + $north, -1.1 + $east), $chance->getInt(10, 25),
                $chance->getInt(0, 3) === 0 ? [$chance->getInt(1, 5)] : [],
            );
            $year = SiteYear::of($book->stations->site(new GivenSite(
                51.2 + $north, -1.1 + $east, $chance->getInt(20, 200),
                MonthDay::parse(sprintf('04-%02d', $chance->getInt(5, 25))),
                MonthDay::parse(sprintf('10-%02d', $chance->getInt(10, 30))), WinterClass::Cool,
            )), self::YEAR);
            for ($plant = 0; $plant < self::PLANTS; $plant++) {
                $kind = $kinds[$chance->getInt(0, count($kinds) - 1)];
                $count = $chance->getInt(0, 3) === 0 ? $chance->getInt(2, 5) : 1;
                $its = new Plant("g$garden-$plant", $kind->id, count: $count);
                foreach ($prescriber->windows($its, $year, $practice) as $task) {
                    if ($task->handsOff === null && $task->window->bestFrom->year() === self::YEAR) {
                        $tasks[] = new Work(
                            "g$garden-$plant-$task->key", "g$garden", $task->window, $task->minutes, $task->skills, 1.0,
                            min(2, $task->people),
                        );
                    }
                }
            }
        }

        return new Brief(
            Span::of(Day::of(self::YEAR, 1, 1), Day::of(self::YEAR, 12, 31)), new Place(51.2, -1.1), self::crews(),
            $places, $tasks,
        );
    }

    /** @return list<Crew> of two or three, Monday to Friday; the last has nobody for ladder and saw */
    private static function crews(): array
    {
        return array_map(static fn (int $crew): Crew => new Crew(
            "c$crew", 2 + $crew % 2, $crew < self::CREWS - 1 ? ['ladder', 'saw', 'shears'] : ['shears'],
            $crew % 3 === 0, array_fill_keys(range(1, 5), [8 * 60, 16 * 60 + 30]), [], new Place(51.2, -1.1),
        ), range(0, self::CREWS - 1));
    }
}
