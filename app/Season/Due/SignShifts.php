<?php

declare(strict_types=1);

namespace App\Season\Due;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Observation;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
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
 * every sign of the firm. A sign touches only the gardens whose median it moves. Everything is worked out outside any
 * transaction, and written in short ones.
 *
 * @phpstan-type Hearing array{list<Garden>, ?int}
 * @phpstan-type Row array<string, int|string>
 * @phpstan-type Weighed array{garden: int, season: int, row: ?Row, before: ?Row}
 */
final readonly class SignShifts
{
    /** Kilometres from one degree of latitude to the next. */
    private const KM_PER_DEGREE = 111.0;

    /** Rows written in one transaction. */
    private const AT_ONCE = 500;

    public function __construct(private PlantBook $book, private CorePlants $bridge)
    {
    }

    /** Whether the book or the firm's kinds expect the signs on other days than those they were weighed by. */
    public function areDue(Firm $firm): bool
    {
        return $firm->exists && $firm->signs_weighed_by !== $this->weighedBy($firm) && Observation::query()->exists();
    }

    /**
     * Weighs the gardens near recent changes, or all gardens when the expected days have changed. If two processes do
     * it at once, the one that began later has read everything the other has, and wins.
     */
    public function weigh(Firm $firm): void
    {
        $all = $this->areDue($firm);
        if (! $all && ! SignsToWeigh::areLeft()) {
            return;
        }
        $firm->exists || $firm->saveQuietly();
        $mine = (string) Str::ulid();
        DB::table('firms')->where('id', $firm->id)->update(['signs_weigher' => $mine]);
        $marks = SignsToWeigh::all();
        $by = $all ? ['signs_weighed_by' => $this->weighedBy($firm)] : [];
        [$late, $moved] = $this->lateness($all ? Observation::query() : self::signsOf($marks));
        $found = $this->found(
            $all ? [[array_values(Garden::query()->get()->all()), null]] : $this->hearing($marks),
            $late,
        );
        $parts = array_chunk($found, self::AT_ONCE) ?: [[]];
        $firmRow = DB::table('firms')->where('id', $firm->id);
        foreach ($parts as $number => $part) {
            $isLast = $number === array_key_last($parts);
            $isMine = DB::transaction(
                static function () use ($firmRow, $mine, $by, $marks, $moved, $number, $part, $isLast): bool {
                    // Writing first takes the lock: from here on no other process can take over.
                    $ours = $firmRow->clone()->where('signs_weigher', $mine)
                        ->update($isLast ? ['signs_weigher' => null, ...$by] : ['signs_weigher' => $mine]);
                    if ($ours === 0) {
                        return false;
                    }
                    self::keep($number === 0 ? $moved : [], $part);
                    $isLast && SignsToWeigh::done($marks);

                    return true;
                },
            );
            if (! $isMine) {
                return;
            }
        }
        $firm->setRawAttributes([...$firm->getAttributes(), ...$by], true);
        $this->bridge->forget();
    }

    /**
     * Weighs only the changed gardens, so that the request that changed them need not wait for their neighbours.
     *
     * @param  list<int>  $gardens
     */
    public function weighHere(array $gardens): void
    {
        $marks = SignsToWeigh::of($gardens);
        if ($marks === []) {
            return;
        }
        $seasons = [];
        foreach ($marks as $mark) {
            $seasons[$mark->garden_id][$mark->season ?? ''] = $mark->season;
        }
        $hearing = [];
        foreach (Garden::query()->findMany(array_keys($seasons)) as $garden) {
            $its = $seasons[$garden->id];
            foreach (array_key_exists('', $its) ? [null] : $its as $season) {
                $hearing[] = [[$garden], $season];
            }
        }
        [$late, $moved] = $this->lateness(self::signsOf($marks));
        $found = $this->found($hearing, $late);
        DB::transaction(static function () use ($marks, $moved, $found): void {
            // If a worker is weighing, it will write these gardens itself, from at least as recent a state.
            if (SignsToWeigh::hold($marks) && DB::table('firms')->whereNotNull('signs_weigher')->doesntExist()) {
                self::keep($moved, $found);
                SignsToWeigh::done(array_values(array_filter(
                    $marks,
                    static fn (stdClass $mark): bool => $mark->latitude === null,
                )));
            }
        });
        $this->bridge->forget();
    }

    private function weighedBy(Firm $firm): string
    {
        return $this->book->mark.' '.$firm->kinds_revision;
    }

    /**
     * @param  list<stdClass>  $marks
     * @return Builder<Observation> the signs of the changed gardens
     */
    private static function signsOf(array $marks): Builder
    {
        return Observation::query()->where(static function (Builder $any) use ($marks): void {
            $any->whereRaw('1 = 0');
            foreach ($marks as $mark) {
                $any->orWhere(static fn (Builder $its) => $its->where('garden_id', $mark->garden_id)
                    ->when($mark->season !== null, static fn (Builder $of) => $of->where('season', $mark->season)));
            }
        });
    }

    /**
     * How late signs came at their own gardens; null where the book no longer knows one or its garden has no year.
     *
     * @param  Builder<Observation>  $signs
     * @return array{array<int, ?int>, array<int, ?int>} of each by its number, and of those for which it is news
     */
    private function lateness(Builder $signs): array
    {
        $late = $news = [];
        foreach ($signs->with('garden')->lazyById() as $sign) {
            $late[$sign->id] = $this->late($sign);
            if ($late[$sign->id] !== $sign->late_days) {
                $news[$sign->id] = $late[$sign->id];
            }
        }

        return [$late, $news];
    }

    private function late(Observation $sign): ?int
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

    /**
     * @param  list<stdClass>  $marks
     * @return list<Hearing> each garden once a season
     */
    private function hearing(array $marks): array
    {
        $near = $whole = $some = [];
        foreach ($marks as $mark) {
            $where = "$mark->latitude $mark->longitude ".($mark->latitude === null ? $mark->garden_id : '');
            $near[$where] ??= $mark->latitude === null
                ? array_values(Garden::query()->whereKey($mark->garden_id)->get()->all())
                : $this->near((float) $mark->latitude, (float) $mark->longitude);
            foreach ($near[$where] as $garden) {
                if ($mark->season === null) {
                    $whole[$garden->id] = $garden;
                } else {
                    $some[$mark->season][$garden->id] = $garden;
                }
            }
        }
        $hearing = [[array_values($whole), null]];
        foreach ($some as $season => $gardens) {
            $hearing[] = [array_values(array_diff_key($gardens, $whole)), (int) $season];
        }

        return $hearing;
    }

    /** @return list<Garden> as far as a sign tells of the season */
    private function near(float $latitude, float $longitude): array
    {
        $reach = $this->reach();
        $here = $this->bridge->place($latitude, $longitude);

        $band = Garden::query();
        $band->whereBetween('latitude', [
            $latitude - $reach / self::KM_PER_DEGREE,
            $latitude + $reach / self::KM_PER_DEGREE,
        ]);

        return array_values($band->get()->filter(
            fn (Garden $garden): bool => $here->kilometresTo(
                $this->bridge->place($garden->latitude, $garden->longitude),
            ) <= $reach,
        )->all());
    }

    private function reach(): int
    {
        return $this->book->figures->number(Figure::NeighboursWithin);
    }

    /**
     * The gardens' seasons that differ from what is stored.
     *
     * @param  list<Hearing>  $hearing  gardens with the season concerned; null for all seasons
     * @param  array<int, ?int>  $late  how late signs are by today's book, by their number
     * @return list<Weighed>
     */
    private function found(array $hearing, array $late): array
    {
        $found = [];
        foreach ($hearing as [$gardens, $season]) {
            $found = [...$found, ...$gardens === [] ? [] : $this->ofSeason($gardens, $season, $late)];
        }

        return $found;
    }

    /**
     * @param  non-empty-list<Garden>  $gardens
     * @param  array<int, ?int>  $late
     * @return list<Weighed>
     */
    private function ofSeason(array $gardens, ?int $season, array $late): array
    {
        $signs = $this->signs($gardens, $season, $late);
        $kept = [];
        foreach (array_chunk($gardens, self::AT_ONCE) as $some) {
            $rows = DB::table('garden_seasons')
                ->whereIn('garden_id', array_map(static fn (Garden $garden): int => $garden->id, $some))
                ->when($season !== null, static fn ($query) => $query->where('season', $season))
                ->get();
            foreach ($rows as $row) {
                $kept[$row->garden_id][$row->season] = array_diff_key((array) $row, ['garden_id' => 0, 'season' => 0]);
            }
        }
        $reader = SeasonReader::with($this->book);
        $found = [];
        foreach ($gardens as $garden) {
            foreach (array_keys($signs + ($kept[$garden->id] ?? [])) as $of) {
                $before = $kept[$garden->id][$of] ?? null;
                $row = self::row($reader->weigh($this->seen($garden, $signs[$of] ?? [])));
                if ($row != $before) {
                    $found[] = ['garden' => $garden->id, 'season' => $of, 'row' => $row, 'before' => $before];
                }
            }
        }

        return $found;
    }

    /**
     * The signs that can be heard of in the gardens, each with its place read once, however many gardens it tells.
     *
     * @param  non-empty-list<Garden>  $gardens
     * @param  array<int, ?int>  $late
     * @return array<int, list<array{int, Site, Sign, Sign}>> by season and day: garden, where it lies, the sign as a
     *                                                        neighbour sees it, and as its own
     */
    private function signs(array $gardens, ?int $season, array $late): array
    {
        $degrees = $this->reach() / self::KM_PER_DEGREE;
        $latitudes = array_map(static fn (Garden $garden): float => $garden->latitude, $gardens);
        $rows = DB::table('observations')
            ->join('gardens', 'gardens.id', '=', 'observations.garden_id')
            ->whereBetween('gardens.latitude', [min($latitudes) - $degrees, max($latitudes) + $degrees])
            ->when($season !== null, static fn ($query) => $query->where('season', $season))
            ->orderBy('on')
            ->orderBy('observations.id')
            ->get([
                'observations.id', 'observations.garden_id', 'gardens.name', 'gardens.latitude', 'gardens.longitude',
                'event', 'on', 'season', 'late_days',
            ]);
        $signs = $places = [];
        foreach ($rows as $row) {
            $days = array_key_exists($row->id, $late) ? $late[$row->id] : $row->late_days;
            if ($days !== null) {
                $place = $places[$row->garden_id]
                    ??= $this->bridge->place((float) $row->latitude, (float) $row->longitude);
                $seen = new CoreObservation($row->event, Day::parse($row->on));
                $signs[(int) $row->season][] = [
                    (int) $row->garden_id, $place,
                    new Sign($seen, (int) $days, $row->name), new Sign($seen, (int) $days, null),
                ];
            }
        }

        return $signs;
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

    /**
     * Writes what has changed, in few statements.
     *
     * @param  array<int, ?int>  $late  by number of the sign
     * @param  list<Weighed>  $found
     */
    private static function keep(array $late, array $found): void
    {
        $by = [];
        foreach ($late as $sign => $days) {
            $by[$days ?? ''][] = $sign;
        }
        foreach ($by as $signs) {
            foreach (array_chunk($signs, self::AT_ONCE) as $some) {
                DB::table('observations')->whereIn('id', $some)->update(['late_days' => $late[$some[0]]]);
            }
        }
        $touched = $rows = $gone = [];
        foreach ($found as ['garden' => $garden, 'season' => $season, 'row' => $row, 'before' => $before]) {
            if ($row === null) {
                $gone[$season][] = $garden;
            } else {
                $rows[] = ['garden_id' => $garden, 'season' => $season, ...$row];
            }
            if (self::moves($before) !== self::moves($row)) {
                $touched[] = $garden;
            }
        }
        DB::table('garden_seasons')->upsert($rows, ['garden_id', 'season']);
        foreach ($gone as $season => $gardens) {
            DB::table('garden_seasons')->where('season', $season)->whereIn('garden_id', $gardens)->delete();
        }
        Revisions::gardens(...$touched);
    }

    /** @return ?Row what is kept of it; null where nothing is seen */
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
