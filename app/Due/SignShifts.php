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
        $touched = [];
        foreach ($gardens as $garden) {
            foreach (
                array_unique([
                    ...array_keys($signs),
                    ...array_map(static fn (stdClass $row): int => (int) $row->season, self::of($kept, $garden->id)),
                ]) as $season
            ) {
                $seen = $this->seen($garden, array_values(isset($signs[$season]) ? $signs[$season]->all() : []));
                if ($this->keep($garden, (int) $season, $seen, $kept["$garden->id $season"] ?? null)) {
                    $touched[] = $garden->id;
                }
            }
        }
        Revisions::gardens(...$touched);
    }

    /**
     * @param  array<string, stdClass>  $kept
     * @return list<stdClass>
     */
    private static function of(array $kept, int $garden): array
    {
        return array_values(array_filter($kept, static fn (stdClass $row): bool => (int) $row->garden_id === $garden));
    }

    /** @param  list<stdClass>  $signs  of one season, by day */
    private function seen(Garden $garden, array $signs): SeasonSeen
    {
        $here = $this->bridge->place($garden->latitude, $garden->longitude);
        $near = $own = $reaches = [];
        foreach ($signs as $sign) {
            $at = (int) $sign->garden_id;
            $reaches[$at] ??=
                $at === $garden->id
                || $here->kilometresTo($this->bridge->place((float) $sign->latitude, (float) $sign->longitude)) <=
                    $this->reach();
            if ($reaches[$at]) {
                $seen = new Sign(
                    new CoreObservation($sign->event, Day::parse($sign->on)),
                    (int) $sign->late_days,
                    $at === $garden->id ? null : $sign->name,
                );
                $seen->at === null ? ($own[] = $seen) : ($near[] = $seen);
            }
        }

        return SeasonReader::with($this->book)->weigh([...$near, ...$own]);
    }

    /** @return bool true where the garden's days move by it */
    private function keep(Garden $garden, int $season, SeasonSeen $seen, ?stdClass $before): bool
    {
        $days = array_map(static fn (Day $day): int => $day->number, $seen->days);
        $row = [
            'spring_days' => $seen->spring->days,
            'spring_from' => (string) json_encode($seen->spring->from),
            'spring_more' => $seen->spring->more,
            'autumn_days' => $seen->autumn->days,
            'autumn_from' => (string) json_encode($seen->autumn->from),
            'autumn_more' => $seen->autumn->more,
            'days' => (string) json_encode($days),
        ];
        $said = $before === null ? null : array_intersect_key((array) $before, $row);
        if ($seen->spring->from === [] && $seen->autumn->from === [] && $days === []) {
            DB::table('garden_seasons')
                ->where(['garden_id' => $garden->id, 'season' => $season])
                ->delete();
            $row = null;
        } elseif ($said != $row) {
            DB::table('garden_seasons')->updateOrInsert(['garden_id' => $garden->id, 'season' => $season], $row);
        }
        $moves = static fn (?array $each): array => [
            (int) ($each['spring_days'] ?? 0),
            (int) ($each['autumn_days'] ?? 0),
            $each['days'] ?? '[]',
        ];

        return $moves($said) !== $moves($row);
    }
}
