<?php

declare(strict_types=1);

namespace App\Due;

use App\Bridge\CorePlants;
use App\Models\Firm;
use App\Models\Garden;
use App\Models\Observation;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SeasonSeen;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Observation as CoreObservation;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\SeasonReader;
use PruningHook\Core\PlantBook\Sign;
use stdClass;

/**
 * Keeps how late each garden's season is by its own signs and its neighbours', so that a page reads one row in place of
 * every sign of the firm. A sign touches only the gardens whose median it moves.
 */
final readonly class SignShifts
{
    /** Kilometres from one degree of latitude to the next. */
    private const KM_PER_DEGREE = 111.0;

    public function __construct(private PlantBook $book, private CorePlants $bridge)
    {
    }

    /** How late a sign came at its own garden; null where the book no longer knows it or the garden has no year. */
    public function lateness(Observation $sign): ?int
    {
        try {
            return SeasonReader::with($this->book)->lateness(
                new CoreObservation($sign->event, $sign->on),
                SiteYear::of($this->bridge->site($sign->garden), $sign->season),
            );
        } catch (Fault) {
            return null;
        }
    }

    /** A sign was noted or taken back in a garden: whoever is near enough is weighed anew. */
    public function noted(Garden $at, int $season): void
    {
        // The first signs of a firm are held against the book as they are noted.
        $firm = $this->bridge->firm();
        if ($firm->exists && $firm->signs_weighed_by === null) {
            DB::table('firms')->where('id', $firm->id)->update(['signs_weighed_by' => $this->weighedBy($firm)]);
        }
        $this->weigh($this->near($at->latitude, $at->longitude), [$season]);
    }

    /**
     * A garden was moved, or its frost dates were changed: its own signs are late by another figure now, and it has
     * other neighbours.
     *
     * @param  ?array{float, float}  $before  where it lay, where it lies elsewhere now
     */
    public function moved(Garden $garden, ?array $before): void
    {
        $signs = $garden->observations()->get();
        if ($signs->isEmpty()) {
            $this->weigh(new Collection([$garden]));

            return;
        }
        foreach ($signs as $sign) {
            $sign->setRelation('garden', $garden);
            DB::table('observations')
                ->where('id', $sign->id)
                ->update(['late_days' => $this->lateness($sign)]);
        }
        $this->weigh($this->near($garden->latitude, $garden->longitude));
        if ($before !== null) {
            $this->weigh($this->near(...$before));
        }
    }

    /** Whether the book or the firm's kinds expect the signs on other days than those they were weighed by. */
    public function areDue(Firm $firm): bool
    {
        return $firm->exists && $firm->signs_weighed_by !== $this->weighedBy($firm) && Observation::query()->exists();
    }

    /** All signs are weighed anew, once. */
    public function weighAllIfDue(Firm $firm): void
    {
        if (! $this->areDue($firm)) {
            return;
        }
        $by = $this->weighedBy($firm);
        $late = [];
        foreach (Observation::query()->with('garden')->lazyById() as $sign) {
            $late[$sign->id] = $this->lateness($sign);
        }
        DB::transaction(function () use ($firm, $by, $late): void {
            foreach ($late as $sign => $days) {
                DB::table('observations')->where('id', $sign)->update(['late_days' => $days]);
            }
            $this->weigh(Garden::query()->get());
            DB::table('firms')
                ->where('id', $firm->id)
                ->update(['signs_weighed_by' => $by]);
        });
        $firm->setRawAttributes([...$firm->getAttributes(), 'signs_weighed_by' => $by], true);
    }

    private function weighedBy(Firm $firm): string
    {
        return $this->book->mark.' '.$firm->kinds_revision;
    }

    /**
     * Gardens as far as a sign tells of the season.
     *
     * @return Collection<int, Garden>
     */
    private function near(float $latitude, float $longitude): Collection
    {
        $reach = $this->reach();
        $here = $this->bridge->place($latitude, $longitude);

        $band = Garden::query();
        $band->whereBetween('latitude', [
            $latitude - $reach / self::KM_PER_DEGREE,
            $latitude + $reach / self::KM_PER_DEGREE,
        ]);

        return $band
            ->get()
            ->filter(
                fn (Garden $garden): bool => $here->kilometresTo(
                    $this->bridge->place($garden->latitude, $garden->longitude),
                ) <= $reach,
            )
            ->values();
    }

    private function reach(): int
    {
        return $this->book->figures->number(Figure::NeighboursWithin);
    }

    /**
     * @param  Collection<int, Garden>  $gardens
     * @param  ?list<int>  $seasons  all in which anything was seen, where left out
     */
    private function weigh(Collection $gardens, ?array $seasons = null): void
    {
        if ($gardens->isEmpty()) {
            return;
        }
        $degrees = $this->reach() / self::KM_PER_DEGREE;
        $within = [$gardens->min('latitude') - $degrees, $gardens->max('latitude') + $degrees];
        $signs = DB::table('observations')
            ->join('gardens', 'gardens.id', '=', 'observations.garden_id')
            ->whereBetween('gardens.latitude', $within)
            ->whereNotNull('late_days')
            ->when($seasons !== null, static fn ($query) => $query->whereIn('season', $seasons ?? []))
            ->orderBy('on')
            ->orderBy('observations.id')
            ->get([
                'observations.garden_id',
                'gardens.name',
                'gardens.latitude',
                'gardens.longitude',
                'event',
                'on',
                'season',
                'late_days',
            ])
            ->groupBy('season')
            ->all();
        $kept = DB::table('garden_seasons')
            ->whereIn('garden_id', $gardens->modelKeys())
            ->when($seasons !== null, static fn ($query) => $query->whereIn('season', $seasons ?? []))
            ->get()
            ->keyBy(static fn (stdClass $row): string => "$row->garden_id $row->season")
            ->all();
        // Each sign and its place are read once, however many gardens it tells of the season.
        $read = [];
        foreach ($signs as $season => $its) {
            $read[$season] = $this->read(array_values($its->all()));
        }
        $reader = SeasonReader::with($this->book);
        $seasonsOf = [];
        foreach ($kept as $row) {
            $seasonsOf[(int) $row->garden_id][] = (int) $row->season;
        }
        $found = [];
        foreach ($gardens as $garden) {
            foreach (array_unique([...array_keys($signs), ...$seasonsOf[$garden->id] ?? []]) as $season) {
                $found[$garden->id][$season] = self::row($reader->weigh($this->seen($garden, $read[$season] ?? [])));
            }
        }
        Revisions::gardens(...self::keep($found, $kept));
    }

    /**
     * Writes what has changed, in few statements.
     *
     * @param  array<int, array<int, ?array<string, int|string>>>  $found  rows by garden and season
     * @param  array<string, stdClass>  $kept  the rows that are there, by garden and season
     * @return list<int> the gardens whose days move by it
     */
    private static function keep(array $found, array $kept): array
    {
        $touched = $rows = $gone = [];
        foreach ($found as $garden => $seasons) {
            foreach ($seasons as $season => $row) {
                $before = $kept["$garden $season"] ?? null;
                $said = $before === null ? null : array_diff_key((array) $before, ['garden_id' => 0, 'season' => 0]);
                if ($row === null && $said !== null) {
                    $gone[$season][] = $garden;
                } elseif ($row !== null && $said != $row) {
                    $rows[] = ['garden_id' => $garden, 'season' => $season, ...$row];
                }
                if (self::moves($said) !== self::moves($row)) {
                    $touched[] = $garden;
                }
            }
        }
        foreach (array_chunk($rows, 500) as $some) {
            DB::table('garden_seasons')->upsert($some, ['garden_id', 'season']);
        }
        foreach ($gone as $season => $ids) {
            DB::table('garden_seasons')->where('season', $season)->whereIn('garden_id', $ids)->delete();
        }

        return $touched;
    }

    /**
     * @param  list<stdClass>  $signs  of one season, by day
     * @return list<array{int, Site, Sign, Sign}> garden, where it lies, the sign as a neighbour sees it, and as its own
     */
    private function read(array $signs): array
    {
        $places = [];

        return array_map(function (stdClass $sign) use (&$places): array {
            $at = (int) $sign->garden_id;
            $place = $places[$at] ??= $this->bridge->place((float) $sign->latitude, (float) $sign->longitude);
            $seen = new CoreObservation($sign->event, Day::parse($sign->on));
            $late = (int) $sign->late_days;

            return [$at, $place, new Sign($seen, $late, $sign->name), new Sign($seen, $late, null)];
        }, $signs);
    }

    /**
     * The signs that tell a garden of its season: its neighbours', then its own.
     *
     * @param  list<array{int, Site, Sign, Sign}>  $signs  of one season, by day
     * @return list<Sign>
     */
    private function seen(Garden $garden, array $signs): array
    {
        $here = $this->bridge->place($garden->latitude, $garden->longitude);
        $reach = $this->reach();
        $near = $own = $reaches = [];
        foreach ($signs as [$at, $place, $neighbours, $its]) {
            if ($at === $garden->id) {
                $own[] = $its;
            } elseif ($reaches[$at] ??= $here->kilometresTo($place) <= $reach) {
                $near[] = $neighbours;
            }
        }

        return [...$near, ...$own];
    }

    /** @return ?array<string, int|string> what is kept of it; null where nothing is seen */
    private static function row(SeasonSeen $seen): ?array
    {
        $days = array_map(static fn (Day $day): int => $day->number, $seen->days);

        return $seen->spring->from === [] && $seen->autumn->from === [] && $days === [] ? null : [
            'spring_days' => $seen->spring->days,
            'spring_from' => (string) json_encode($seen->spring->from),
            'spring_more' => $seen->spring->more,
            'autumn_days' => $seen->autumn->days,
            'autumn_from' => (string) json_encode($seen->autumn->from),
            'autumn_more' => $seen->autumn->more,
            'days' => (string) json_encode($days),
        ];
    }

    /**
     * @param  ?array<string, mixed>  $row
     * @return array{int, int, mixed} what of it moves the garden's days
     */
    private static function moves(?array $row): array
    {
        return [(int) ($row['spring_days'] ?? 0), (int) ($row['autumn_days'] ?? 0), $row['days'] ?? '[]'];
    }
}
