<?php

declare(strict_types=1);

namespace App\Io\Json;

use App\Ground\Bridge\InputFaults;
use App\Ground\Bridge\JsonSchema;
use App\Ground\Bridge\TriesValues;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Fault;
use PruningHook\Core\Planning\Season\Audit;
use PruningHook\Core\Planning\Season\Brief;
use PruningHook\Core\Planning\Season\Crew;
use PruningHook\Core\Planning\Season\Garden;
use PruningHook\Core\Planning\Season\Place;
use PruningHook\Core\Planning\Season\Visit;
use PruningHook\Core\Planning\Season\Work;

/**
 * Reads the JSON of docs/formats/plan-input.schema.json into a brief, and says by JSON path what contradicts itself.
 *
 * @phpstan-type GivenVisit array{garden: string, crew: string, date: string, tasks: list<string>}
 * @phpstan-type GivenTask array{ref: string, garden: string, opens: string, best_from: string, best_to: string,
 *     closes: string, minutes: int, skills?: list<string>, weight?: float|int, people?: int}
 * @phpstan-type Given array{horizon: array{from: string, to: string}, depot?: array{lat: float|int, lon: float|int},
 *     seed?: int, seconds?: float|int, iterations?: int, usual_travel?: int, daylight?: bool, stay?: int,
 *     crews: list<array{ref: string, people: int, skills?: list<string>, overtime?: bool,
 *         week: array<string, array{string, string}>, off?: list<string>, fewer?: array<string, int>}>,
 *     gardens: list<array{ref: string, lat?: float|int, lon?: float|int, setup?: int, closed?: list<string>,
 *         off?: list<string>}>,
 *     tasks: list<GivenTask>,
 *     fixed?: list<GivenVisit>, present?: list<GivenVisit>}
 */
final class PlanInput
{
    use TriesValues;

    private const WEEKDAYS = ['mon' => 1, 'tue' => 2, 'wed' => 3, 'thu' => 4, 'fri' => 5, 'sat' => 6, 'sun' => 7];

    private const SECONDS = 10.0;

    private function __construct(
        public readonly Brief $brief,
        public readonly int $seed,
        public readonly float $seconds,
        public readonly ?int $iterations,
    ) {
    }

    /** @throws InputFaults with one line for each fault */
    public static function read(string $json, JsonSchema $schema): self
    {
        /** @var Given $given */
        $given = $schema->read($json);
        $nothing = new Brief(Span::of(Day::of(2000, 1, 1), Day::of(2000, 1, 1)), null, [], [], []);
        $reader = new self($nothing, 0, 0.0, null);
        $brief = $reader->brief($given);
        if ($reader->faults !== []) {
            throw new InputFaults($reader->faults);
        }

        return new self(
            $brief, $given['seed'] ?? 1, (float) ($given['seconds'] ?? self::SECONDS), $given['iterations'] ?? null,
        );
    }

    /** @param  Given  $given */
    private function brief(array $given): Brief
    {
        $horizon = $this->tried('$.horizon', static fn (): Span => Span::of(
            Day::parse($given['horizon']['from']), Day::parse($given['horizon']['to']),
        ));
        $given += [
            'depot' => [], 'daylight' => false, 'fixed' => [], 'present' => [], 'usual_travel' => 20, 'stay' => 0,
        ];
        $depot = self::place($given['depot']);
        $daylight = $given['daylight'] ? $depot : null;
        $crews = $this->all('$.crews', $given['crews'], fn (array $crew, string $at): Crew => new Crew(
            $crew['ref'], $crew['people'], $crew['skills'] ?? [], $crew['overtime'] ?? false,
            self::week($crew['week']), $this->days("$at.off", $crew['off'] ?? []), $daylight,
            self::fewer($crew['fewer'] ?? []),
        ));
        $gardens = $this->all('$.gardens', $given['gardens'], $this->garden(...));
        $tasks = $this->all('$.tasks', $given['tasks'], self::work(...));
        $fixed = $this->all('$.fixed', $given['fixed'], self::visit(...));
        $present = $this->all('$.present', $given['present'], self::visit(...));
        $this->twice($crews, '$.crews');
        $this->twice($gardens, '$.gardens');
        $this->twice($tasks, '$.tasks');
        foreach (
            ['crews' => 'crew to plan for', 'gardens' => 'garden to plan', 'tasks' => 'task to plan'] as $name => $of
        ) {
            if ($given[$name] === []) {
                $this->faults[] = "\$.$name: there is no $of";
            }
        }
        $brief = new Brief(
            $horizon ?? Span::of(Day::of(2000, 1, 1), Day::of(2000, 1, 1)), $depot, array_values($crews),
            array_values($gardens), array_values($tasks), array_values($fixed), $given['usual_travel'],
            array_values($present), $given['stay'],
        );
        $this->unknown($brief);
        if ($this->faults === []) {
            $this->contradictions($brief);
        }

        return $brief;
    }

    /**
     * @param  array{ref: string, lat?: float|int, lon?: float|int, setup?: int, closed?: list<string>,
     *     off?: list<string>, wished?: list<string>}  $garden
     *
     * @throws Fault
     */
    private function garden(array $garden, string $at): Garden
    {
        return new Garden(
            $garden['ref'], self::place($garden), $garden['setup'] ?? 0,
            array_values(array_intersect_key(self::WEEKDAYS, array_flip($garden['closed'] ?? []))),
            $this->days("$at.off", $garden['off'] ?? []),
            array_values(array_intersect_key(self::WEEKDAYS, array_flip($garden['wished'] ?? []))),
        );
    }

    /**
     * @param  GivenTask  $task
     *
     * @throws Fault
     */
    private static function work(array $task): Work
    {
        return new Work(
            $task['ref'],
            $task['garden'],
            Window::of(
                Day::parse($task['opens']), Day::parse($task['best_from']), Day::parse($task['best_to']),
                Day::parse($task['closes']),
            ),
            $task['minutes'],
            $task['skills'] ?? [],
            (float) ($task['weight'] ?? 1),
            $task['people'] ?? 1,
        );
    }

    /**
     * @param  GivenVisit  $visit
     *
     * @throws Fault
     */
    private static function visit(array $visit): Visit
    {
        return new Visit($visit['garden'], $visit['crew'], Day::parse($visit['date']), $visit['tasks']);
    }

    /** Refs that lead nowhere. */
    private function unknown(Brief $brief): void
    {
        $gardens = array_column($brief->gardens, null, 'ref');
        $crews = array_column($brief->crews, null, 'ref');
        $tasks = array_column($brief->tasks, null, 'ref');
        foreach ($brief->tasks as $index => $task) {
            if (! isset($gardens[$task->garden])) {
                $this->faults[] = "\$.tasks[$index].garden: there is no garden \"$task->garden\"";
            }
        }
        $seen = [];
        foreach (['fixed' => $brief->fixed, 'present' => $brief->present] as $name => $visits) {
            foreach ($visits as $index => $visit) {
                if (! isset($gardens[$visit->garden])) {
                    $this->faults[] = "\$.{$name}[$index].garden: there is no garden \"$visit->garden\"";
                }
                if (! isset($crews[$visit->crew])) {
                    $this->faults[] = "\$.{$name}[$index].crew: there is no crew \"$visit->crew\"";
                }
                foreach ($visit->tasks as $place => $ref) {
                    if (! isset($tasks[$ref])) {
                        $this->faults[] = "\$.{$name}[$index].tasks[$place]: there is no task \"$ref\"";
                    } elseif ($tasks[$ref]->garden !== $visit->garden) {
                        $this->faults[] = "\$.{$name}[$index].tasks[$place]: \"$ref\" is in {$tasks[$ref]->garden}";
                    }
                    if (isset($seen[$name][$ref])) {
                        $this->faults[] = "\$.{$name}[$index].tasks[$place]: \"$ref\" stands on two visits";
                    }
                    $seen[$name][$ref] = true;
                }
            }
        }
    }

    /** Fixed visits that no plan can keep. */
    private function contradictions(Brief $brief): void
    {
        $crews = array_column($brief->crews, null, 'ref');
        $sound = [];
        foreach ($brief->fixed as $index => $visit) {
            $at = "\$.fixed[$index]";
            if (! $brief->horizon->holds($visit->on)) {
                $this->faults[] = "$at.date: $visit->on lies outside the horizon";
            } elseif ($crews[$visit->crew]->works($visit->on) === null) {
                $this->faults[] = "$at.date: $visit->crew does not work on $visit->on";
            } else {
                $sound[] = $visit;
            }
            // Not being fixed they are held against their windows and skills.
            $loose = new Brief(
                $brief->horizon, $brief->depot, $brief->crews, $brief->gardens, $brief->tasks, [], $brief->usualTravel,
            );
            foreach (Audit::of($loose, [$visit])->breaks as $broken) {
                $this->faults[] = "$at: $broken";
            }
        }
        if ($this->faults === []) {
            foreach (Audit::of($brief, $sound)->breaks as $broken) {
                $this->faults[] = "\$.fixed: $broken";
            }
        }
    }

    /**
     * @param  array<int, Crew|Garden|Work>  $values
     */
    private function twice(array $values, string $path): void
    {
        $seen = [];
        foreach ($values as $index => $value) {
            if (isset($seen[$value->ref])) {
                $this->faults[] = "{$path}[$index].ref: \"$value->ref\" stands twice";
            }
            $seen[$value->ref] = true;
        }
    }

    /**
     * @param  array{lat?: float|int, lon?: float|int}  $at
     *
     * @throws Fault where half of a place is given
     */
    private static function place(array $at): ?Place
    {
        return match (true) {
            isset($at['lat'], $at['lon']) => new Place($at['lat'], $at['lon']),
            isset($at['lat']) || isset($at['lon']) => throw new Fault('a place has lat and lon, or neither'),
            default => null,
        };
    }

    /**
     * @param  array<string, array{string, string}>  $week
     * @return array<int, array{int, int}>
     */
    private static function week(array $week): array
    {
        $minutes = static fn (string $clock): int => 60 * (int) substr($clock, 0, 2) + (int) substr($clock, 3);
        $read = [];
        foreach ($week as $weekday => [$from, $to]) {
            $read[self::WEEKDAYS[$weekday]] = [$minutes($from), $minutes($to)];
        }

        return $read;
    }

    /**
     * @param  array<string, int>  $given
     * @return array<int, int>
     *
     * @throws Fault where a day is none
     */
    private static function fewer(array $given): array
    {
        $fewer = [];
        foreach ($given as $day => $people) {
            $fewer[Day::parse($day)->number] = $people;
        }

        return $fewer;
    }

    /**
     * @param  list<string>  $given
     * @return list<Day>
     */
    private function days(string $path, array $given): array
    {
        return array_values($this->all($path, $given, Day::parse(...)));
    }

    /**
     * @template G
     * @template T
     *
     * @param  list<G>  $given
     * @param  callable(G, string): T  $read
     * @return array<int, T> by place; those with a fault are missing
     */
    private function all(string $path, array $given, callable $read): array
    {
        $all = [];
        foreach ($given as $index => $each) {
            $value = $this->tried("{$path}[$index]", static fn (): mixed => $read($each, "{$path}[$index]"));
            if ($value !== null) {
                $all[$index] = $value;
            }
        }

        return $all;
    }
}
