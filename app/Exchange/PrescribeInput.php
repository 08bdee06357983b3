<?php

declare(strict_types=1);

namespace App\Exchange;

use PruningHook\Core\Amount\Renovation;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Region;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\PlantBook\Observation;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\SeasonReader;
use PruningHook\Core\Practice\Practice;
use PruningHook\Core\Prescription\Contradictions;
use PruningHook\Core\Units\Doubt;

/**
 * Reads the JSON of docs/formats/prescribe-input.schema.json into core values. The schema finds wrong types and missing
 * fields; this finds what a schema cannot: days the calendar lacks, kinds and schools nobody knows, plants of the future.
 */
final class PrescribeInput
{
    /** @var list<string> */
    private array $faults = [];

    private function __construct(
        private readonly PlantBook $book,
        /** @var array<string, mixed> */
        private readonly array $data,
    ) {
    }

    /**
     * @return array{SiteYear, Practice, list<Plant>}
     *
     * @throws InputFaults with one line for each fault
     */
    public static function read(string $json, PlantBook $book, JsonSchema $schema): array
    {
        return (new self($book, $schema->read($json)))->values();
    }

    /** @return array{SiteYear, Practice, list<Plant>} */
    private function values(): array
    {
        /** @var array{latitude: float, longitude: float, elevation_m?: int, last_frost?: ?string, first_frost?: ?string, winter: string, region?: ?string} $site */
        $site = $this->data['site'];
        /** @var int $season */
        $season = $this->data['season'];
        /** @var list<array<string, mixed>> $plants */
        $plants = $this->data['plants'];
        /** @var array<string, string> $firm */
        $firm = $this->data['practice'] ?? [];
        $lastFrost = $this->tried('$.site.last_frost', static fn (): ?MonthDay => isset($site['last_frost']) ? MonthDay::parse($site['last_frost']) : null);
        $firstFrost = $this->tried('$.site.first_frost', static fn (): ?MonthDay => isset($site['first_frost']) ? MonthDay::parse($site['first_frost']) : null);
        $practice = $this->tried('$.practice', fn (): Practice => Practice::of($this->book->questions, $firm));
        $year = $this->faults === [] ? $this->tried('$.site', static fn (): SiteYear => SiteYear::of(Site::of(
            $site['latitude'], $site['longitude'], $site['elevation_m'] ?? 0, $lastFrost, $firstFrost, WinterClass::from($site['winter']),
            isset($site['region']) ? Region::from($site['region']) : null,
        ), $season)) : null;
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

        return [$year, $practice, array_values(array_filter($read))];
    }

    /** @param  array<string, mixed>  $data as the schema has passed it */
    private function plant(array $data, string $path, ?SiteYear $year, ?Day $today): ?Plant
    {
        /** @var array{ref: string, kind: string, planted?: ?string, height_mm?: ?int, spread_mm?: ?int, run_mm?: ?int, count?: int, flowering_height_mm?: ?int, stems?: ?array{old: int, young: int}, form?: ?string, aim?: ?string, grafted?: ?bool, practice?: array<string, string>, hazards?: list<string>, history?: list<array{task: string, season: int, on: string, outcome: string, minutes?: ?int, removed_percent?: ?int, nest?: bool, renovation?: bool, recipe?: string}>, prunings_g?: ?int, bud_mortality_percent?: ?int, growth_seen_mm?: list<int>, sure?: bool} $data */
        $before = count($this->faults);
        $kind = $this->tried("$path.kind", fn (): string => $this->book->find($data['kind'])->id ?? throw $this->unknown($data['kind']));
        $planted = $this->tried("$path.planted", static fn (): ?Day => isset($data['planted']) ? Day::parse($data['planted']) : null);
        if ($planted !== null && $today !== null && $planted->isAfter($today)) {
            $this->faults[] = "$path.planted: $planted is in the future of $today";
        }
        $this->tried("$path.practice", fn (): Practice => Practice::of($this->book->questions, $data['practice'] ?? []));
        if ($kind !== null) {
            foreach (Contradictions::of($this->book->kind($kind), $data['aim'] ?? null, $data['flowering_height_mm'] ?? null, $data['grafted'] ?? null) as $fact => $told) {
                $this->faults[] = "$path.".($fact === 'flowering_height' ? 'flowering_height_mm' : $fact).": $told";
            }
        }
        if ($kind !== null && isset($data['height_mm']) && ($data['sure'] ?? false) !== true) {
            $doubt = Doubt::of($data['height_mm'], 'mm', $this->book->kind($kind)->typicalHeightMm);
            $this->faults = [...$this->faults, ...($doubt === null ? [] : ["$path.height_mm: $doubt? Give \"sure\": true if it is right as it stands"])];
        }
        $history = [];
        foreach ($data['history'] ?? [] as $index => $line) {
            $on = $this->tried("$path.history[$index].on", static fn (): Day => Day::parse($line['on']));
            if ($kind !== null && ! isset($this->book->kind($kind)->tasks[$line['task']])) {
                $this->faults[] = "$path.history[$index].task: $kind has no task \"{$line['task']}\"";
            }
            if ($on !== null) {
                $history[] = LoggedWork::of($line['task'], $line['season'], $on, Outcome::from($line['outcome']), $line['minutes'] ?? null, $line['removed_percent'] ?? null, $line['nest'] ?? false, $line['recipe'] ?? (($line['renovation'] ?? false) ? Renovation::RECIPE : null));
            }
        }
        if (count($this->faults) > $before || $kind === null) {
            return null;
        }
        $plant = Plant::of(
            ref: $data['ref'],
            kind: $kind,
            planted: $planted,
            heightMm: $data['height_mm'] ?? null,
            spreadMm: $data['spread_mm'] ?? null,
            runMm: $data['run_mm'] ?? null,
            count: $data['count'] ?? 1,
            floweringHeightMm: $data['flowering_height_mm'] ?? null,
            stems: isset($data['stems']) ? StemCount::of($data['stems']['old'], $data['stems']['young']) : null,
            form: $data['form'] ?? null,
            aim: $data['aim'] ?? null,
            grafted: $data['grafted'] ?? null,
            practice: $data['practice'] ?? [],
            hazards: $data['hazards'] ?? [],
            history: $history,
            pruningsG: $data['prunings_g'] ?? null,
            budMortalityPercent: $data['bud_mortality_percent'] ?? null,
            growthSeenMm: $data['growth_seen_mm'] ?? [],
        );
        if ($year !== null) {
            $this->tried("$path.planted", static fn (): ?int => $plant->yearInGround($year));
        }

        return $plant;
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
            $observation = Observation::of($each['event'], $on);
            $this->tried($path, static fn () => $reader->check($observation, $year));
            $observations[] = $observation;
        }

        return $this->faults === [] ? SiteYear::of($year->site, $year->season, $reader->read($observations, $year)) : $year;
    }

    private function unknown(string $name): Fault
    {
        $near = $this->book->nearestName($name);

        return new Fault(sprintf('the plant book has no kind "%s"%s', $name, $near === null ? '' : sprintf('; did you mean "%s"?', $near)));
    }

    /**
     * @template T
     *
     * @param  callable(): T  $read
     * @return T|null null where the core finds a fault, which is kept with its path
     */
    private function tried(string $path, callable $read): mixed
    {
        try {
            return $read();
        } catch (Fault $fault) {
            $this->faults[] = $path.': '.$fault->getMessage();

            return null;
        }
    }
}
