<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use Illuminate\Database\Eloquent\Collection;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Planning\Season\Round;
use PruningHook\Core\PlantBook\PlantBook;

/**
 * A crew's day as it drives off: the round in its order with times, what to load, what to look out for, who does what.
 */
final readonly class RoundDay
{
    /**
     * @param  list<array{visit: Visit, start: int, end: int}>  $stops  in driving order
     * @param  list<string>  $tools  to load, each once
     * @param  list<string>  $materials
     * @param  array<string, list<string>>  $hazards  what holds where, by garden
     * @param  array<string, list<string>>  $skills  what asks for a skill or a second pair of hands, in words
     */
    private function __construct(
        public Round $round,
        public array $stops,
        public array $tools,
        public array $materials,
        public int $litres,
        public array $hazards,
        public array $skills,
    ) {
    }

    /** @return ?self null where the crew has no visit on that day */
    public static function of(int $crew, Day $on, PlantBook $book): ?self
    {
        $rota = Rota::of(Span::of($on, $on), [$crew]);
        $round = $rota->round($crew, $on);
        if ($round === null) {
            return null;
        }
        $rota->visits->load('tasks.plant');
        $stops = [];
        foreach ($round->visits as $visit) {
            $row = $rota->row($visit);
            if ($row !== null) {
                $stops[] = ['visit' => $row, 'start' => (int) $visit->start, 'end' => (int) $visit->end];
            }
        }
        /** @var Collection<int, VisitTask> $tasks */
        $tasks = new Collection(array_merge(...array_map(
            static fn (array $stop): array => $stop['visit']->tasks->all(), $stops,
        )));

        return new self(
            $round, $stops,
            self::thickest(
                self::each($tasks, static fn (VisitTask $task): array => $task->prescribed->kit->tools ?? []),
            ),
            self::added($tasks),
            (int) $tasks->sum(static fn (VisitTask $task): int => $task->prescribed->kit->debrisLitres ?? 0),
            self::hazards($stops, $book), self::skills($tasks),
        );
    }

    /**
     * @param  Collection<int, VisitTask>  $tasks
     * @param  callable(VisitTask): list<string>  $of
     * @return list<string>
     */
    private static function each(Collection $tasks, callable $of): array
    {
        $each = array_values(array_unique(array_merge(...array_map($of, array_values($tasks->all())))));
        sort($each);

        return $each;
    }

    /**
     * Eight ties here and four there are twelve to load.
     *
     * @param  Collection<int, VisitTask>  $tasks
     * @return list<string>
     */
    private static function added(Collection $tasks): array
    {
        $sums = [];
        foreach ($tasks as $task) {
            foreach ($task->prescribed->kit->materials ?? [] as $material) {
                $counted = preg_match('/^(\d+) (.+)$/', $material, $parts) === 1;
                $what = $counted ? $parts[2] : $material;
                $sums[$what] = ($sums[$what] ?? 0) + ($counted ? (int) $parts[1] : 0);
            }
        }

        return array_map(
            static fn (string $what, int $sum): string => $sum > 0 ? "$sum $what" : $what, array_keys($sums), $sums,
        );
    }

    /**
     * One saw for the thickest wood of the day does for all.
     *
     * @param  list<string>  $tools
     * @return list<string>
     */
    private static function thickest(array $tools): array
    {
        $each = [];
        foreach ($tools as $tool) {
            $mm = preg_match('/^(.+) \(wood to about (\d+) mm\)$/', $tool, $parts) === 1 ? (int) $parts[2] : 0;
            $name = $parts[1] ?? $tool;
            $each[$name] = max($each[$name] ?? 0, $mm);
        }

        return array_map(
            static fn (string $name, int $mm): string => $mm > 0 ? "$name (wood to about $mm mm)" : $name,
            array_keys($each), $each,
        );
    }

    /**
     * @param  list<array{visit: Visit, start: int, end: int}>  $stops
     * @return array<string, list<string>>
     */
    private static function hazards(array $stops, PlantBook $book): array
    {
        $hazards = [];
        foreach ($stops as ['visit' => $visit]) {
            $its = [];
            foreach ($visit->tasks as $task) {
                foreach ($task->plant->hazards as $hazard) {
                    $its[] = $book->cautions[$hazard] ?? $hazard;
                }
            }
            $notes = $visit->garden->notes;
            $its = [...($notes === null ? [] : [$notes]), ...array_values(array_unique($its))];
            if ($its !== []) {
                $hazards[$visit->garden->name] = $its;
            }
        }

        return $hazards;
    }

    /**
     * @param  Collection<int, VisitTask>  $tasks
     * @return array<string, list<string>>
     */
    private static function skills(Collection $tasks): array
    {
        $skills = [];
        foreach ($tasks as $task) {
            foreach ($task->prescribed->kit?->asks() ?? [] as $asked) {
                $skills[ucfirst($asked)][] = $task->plant->label;
            }
        }

        return array_map(static fn (array $labels): array => array_values(array_unique($labels)), $skills);
    }
}
