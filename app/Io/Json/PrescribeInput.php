<?php

declare(strict_types=1);

namespace App\Io\Json;

use App\Ground\Bridge\InputFaults;
use App\Ground\Bridge\JsonSchema;
use App\Ground\Bridge\SiteFacts;
use App\Ground\Bridge\StateFacts;
use App\Ground\Bridge\TriesValues;
use PruningHook\Core\Amount\Renovation;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\State;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\NameMatch;
use PruningHook\Core\PlantBook\Observation;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\SeasonReader;
use PruningHook\Core\Prescription\Contradictions;
use PruningHook\Core\Prescription\GivenFacts;
use PruningHook\Core\Schools\ChosenSchools;
use PruningHook\Core\Units\Doubt;

/**
 * Reads the JSON of docs/formats/prescribe-input.schema.json into core values. The schema finds wrong types and missing
 * fields; this finds what a schema cannot: days the calendar lacks, kinds and schools nobody knows, plants of the
 * future.
 *
 * @phpstan-import-type SiteGiven from SiteFacts
 *
 * @phpstan-type Line array{task: string, season: int, on: string, outcome: string, minutes?: ?int,
 *     removed_percent?: ?int, nest?: bool, renovation?: bool, recipe?: string}
 * @phpstan-type PlantFacts array{ref: string, kind: string, planted?: ?string, height_mm?: ?int, spread_mm?: ?int,
 *     run_mm?: ?int, count?: int, flowering_height_mm?: ?int, stems?: ?array{old?: int, young?: int}, form?: ?string,
 *     aim?: ?string, grafted?: ?bool, practice?: array<string, string>, hazards?: list<string>, history?: list<Line>,
 *     prunings_g?: ?int, bud_mortality_percent?: ?int, growth_seen_mm?: list<int>, sure?: bool, cultivar?: ?string,
 *     condition?: ?string, dieback_percent?: ?int, disease?: ?string, stress?: ?string, variegated?: ?bool,
 *     transplanted?: ?string, container?: ?bool, target_height_mm?: ?int, width_mm?: ?int, sides?: ?int,
 *     trunk_mm?: ?int, protected?: ?bool, boundary?: ?bool, exposed?: ?bool, bearing?: ?string,
 *     rootstock?: ?string, growth?: ?string}
 * @phpstan-type Unknown array{path: string, because: string, suggestions: list<string>}
 */
final class PrescribeInput
{
    use TriesValues;

    /** @var list<Unknown> plants of kinds that are not in the book */
    private array $unknown = [];

    private function __construct(
        private readonly PlantBook $book,
        /** @var array<string, mixed> */
        private readonly array $data,
    ) {
    }

    /**
     * @return array{SiteYear, ChosenSchools, list<Plant>, list<Unknown>} what is not in the
     *     plant book stands apart
     *
     * @throws InputFaults with one line for each fault
     */
    public static function read(string $json, PlantBook $book, JsonSchema $schema): array
    {
        return (new self($book, $schema->read($json)))->values();
    }

    /** @return array{SiteYear, ChosenSchools, list<Plant>, list<Unknown>} */
    private function values(): array
    {
        /** @var SiteGiven $site */
        $site = $this->data['site'];
        /** @var int $season */
        $season = $this->data['season'];
        /** @var list<array<string, mixed>> $plants */
        $plants = $this->data['plants'];
        /** @var array<string, string> $firm */
        $firm = $this->data['practice'] ?? [];
        $place = $this->place($site);
        $practice = $this->tried(
            '$.practice', fn (): ChosenSchools => ChosenSchools::of($this->book->questions, $firm),
        );
        $year =
            $place === null || $this->faults !== []
                ? null
                : $this->tried('$.site', static fn (): SiteYear => SiteYear::of($place, $season));
        $today = $this->today();
        $year = $year === null ? null : $this->seen($year, $today);
        $read = [];
        $seen = [];
        foreach ($plants as $index => $plant) {
            $path = "\$.plants[$index]";
            $read[] = $this->plant($plant, $path, $year, $today);
            /** @var string $ref */
            $ref = $plant['ref'];
            if (isset($seen[$ref])) {
                $this->faults[] = "$path.ref: \"$ref\" is already the ref of plant {$seen[$ref]}";
            }
            $seen[$ref] ??= $index;
        }
        if ($this->faults !== [] || $year === null || $practice === null) {
            throw new InputFaults($this->faults);
        }

        return [$year, $practice, array_values(array_filter($read)), $this->unknown];
    }

    /** What a plant is where nobody said. */
    private const UNSAID = [
        'height_mm' => null,
        'spread_mm' => null,
        'run_mm' => null,
        'count' => 1,
        'flowering_height_mm' => null,
        'stems' => null,
        'form' => null,
        'aim' => null,
        'grafted' => null,
        'practice' => [],
        'hazards' => [],
        'prunings_g' => null,
        'bud_mortality_percent' => null,
        'growth_seen_mm' => [],
    ];

    /** @param  array<string, mixed>  $data as the schema has passed it */
    private function plant(array $data, string $path, ?SiteYear $year, ?Day $today): ?Plant
    {
        /** @var PlantFacts $data */
        $before = count($this->faults);
        $kind = $this->book->find($data['kind']);
        if ($kind === null) {
            // Told for itself: the others go on without it.
            $this->unknown[] = $this->unknown("$path.kind", $data['kind']);
        }
        $planted = $this->past("$path.planted", $data['planted'] ?? null, $today);
        $this->past("$path.transplanted", $data['transplanted'] ?? null, $today);
        $this->tried(
            "$path.practice",
            fn (): ChosenSchools => ChosenSchools::of($this->book->questions, $data['practice'] ?? []),
        );
        // A day that is none was told above.
        $state =
            count($this->faults) > $before ? null : $this->tried($path, static fn (): State => StateFacts::read($data));
        $history = [];
        foreach ($data['history'] ?? [] as $index => $line) {
            $history[] = $this->logged($line, "$path.history[$index]", $kind);
        }
        if ($kind !== null && $state !== null) {
            $this->contradictions($data, $path, $kind, $state, $planted);
        }
        if (count($this->faults) > $before || $kind === null || $state === null) {
            return null;
        }
        $plant = $this->tried(
            $path,
            static fn (): Plant => self::made($data, $kind, $state, $planted, array_values(array_filter($history))),
        );
        if ($year !== null && $plant !== null) {
            $this->tried("$path.planted", fn (): ?int => $plant->yearInGround($year, $this->book->keeping));
        }

        return $plant;
    }

    /**
     * @param  PlantFacts  $data
     * @param  list<LoggedWork>  $history
     *
     * @throws Fault when a measure cannot be
     */
    private static function made(array $data, Kind $kind, State $state, ?Day $planted, array $history): Plant
    {
        $said = $data + self::UNSAID;
        $stems = $said['stems'];

        return new Plant(
            ref: $data['ref'],
            kind: $kind->id,
            planted: $planted,
            heightMm: $said['height_mm'],
            spreadMm: $said['spread_mm'],
            runMm: $said['run_mm'],
            count: $said['count'],
            floweringHeightMm: $said['flowering_height_mm'],
            stems: $stems === null ? null : StemCount::of($stems['old'] ?? 0, $stems['young'] ?? 0),
            form: $said['form'],
            aim: $said['aim'],
            grafted: $said['grafted'],
            practice: $said['practice'],
            hazards: $said['hazards'],
            history: $history,
            pruningsG: $said['prunings_g'],
            budMortalityPercent: $said['bud_mortality_percent'],
            growthSeenMm: $said['growth_seen_mm'],
            state: $state,
        );
    }

    /** A day that has been; null where none is given, or it cannot be. */
    private function past(string $path, ?string $given, ?Day $today): ?Day
    {
        $day = $given === null ? null : $this->tried($path, static fn (): Day => Day::parse($given));
        if ($day !== null && $today !== null && $day->isAfter($today)) {
            $this->faults[] = "$path: $day is in the future of $today";
        }

        return $day;
    }

    /** @param  Line  $line */
    private function logged(array $line, string $path, ?Kind $kind): ?LoggedWork
    {
        if ($kind !== null && ! isset($kind->tasks[$line['task']])) {
            $this->faults[] = "$path.task: $kind->id has no task \"{$line['task']}\"";
        }
        $on = $this->tried("$path.on", static fn (): Day => Day::parse($line['on']));

        return $on === null
            ? null
            : new LoggedWork(
                $line['task'], $line['season'], $on, Outcome::from($line['outcome']), $line['minutes'] ?? null,
                $line['removed_percent'] ?? null, $line['nest'] ?? false,
                $line['recipe'] ?? ($line['renovation'] ?? false ? Renovation::RECIPE : null),
            );
    }

    /** @param  PlantFacts  $data */
    private function contradictions(array $data, string $path, Kind $kind, State $state, ?Day $planted): void
    {
        $told = Contradictions::of($kind, $this->book, new GivenFacts(
            $state, $planted, $data['aim'] ?? null, $data['flowering_height_mm'] ?? null, $data['grafted'] ?? null,
        ));
        foreach ($told as $fact => $wrong) {
            $this->faults[] = "$path.$fact: $wrong";
        }
        $doubt =
            ! isset($data['height_mm']) || ($data['sure'] ?? false) === true
                ? null
                : Doubt::of($data['height_mm'], 'mm', $kind->typicalHeightMm);
        if ($doubt !== null) {
            $this->faults[] = "$path.height_mm: $doubt? Give \"sure\": true if it is right as it stands";
        }
    }

    /** @param  SiteGiven  $site */
    private function place(array $site): ?Site
    {
        try {
            return SiteFacts::read($site, $this->book->stations);
        } catch (InputFaults $faults) {
            $this->faults = [...$this->faults, ...$faults->faults];

            return null;
        }
    }

    private function today(): ?Day
    {
        $today = $this->data['today'] ?? null;

        return is_string($today) ? $this->tried('$.today', static fn (): Day => Day::parse($today)) : null;
    }

    /** The season as its signs tell it; each sign that cannot be is a fault of its own. */
    private function seen(SiteYear $year, ?Day $today): SiteYear
    {
        /** @var list<array{event: string, date: string}> $given */
        $given = $this->data['observations'] ?? [];
        $reader = SeasonReader::with($this->book);
        $observations = [];
        foreach ($given as $index => $each) {
            $path = "\$.observations[$index]";
            $on = $this->tried("$path.date", static fn (): Day => Day::parse($each['date']));
            if ($on === null) {
                continue;
            }
            if ($today !== null && $on->isAfter($today)) {
                $this->faults[] = "$path.date: $on is in the future of $today";
            }
            $observation = new Observation($each['event'], $on);
            $this->tried($path, static fn () => $reader->check($observation, $year));
            $observations[] = $observation;
        }

        return $this->faults === []
            ? SiteYear::of($year->site, $year->season, $reader->read($observations, $year))
            : $year;
    }

    /** @return Unknown */
    private function unknown(string $path, string $name): array
    {
        $like = $this->book->names()->find($name);
        $ask = $like === [] ? null : $like[0]->ask;
        $near = $like === [] ? null : lcfirst($like[0]->name);

        return [
            'path' => $path,
            'because' => sprintf('the plant book has no kind "%s"%s', $name, match (true) {
                $ask !== null => ": $ask",
                $near !== null => "; did you mean \"$near\"?",
                default => '; until it has a name it may be given as unnamed-shrub, unnamed-tree, unnamed-climber or '
                    .'unnamed-perennial: dead wood only',
            }),
            'suggestions' => array_map(static fn (NameMatch $match): string => $match->name, $like),
        ];
    }
}
