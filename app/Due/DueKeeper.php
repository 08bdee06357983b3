<?php

declare(strict_types=1);

namespace App\Due;

use App\Bridge\CorePlants;
use App\Bridge\ReadsRain;
use App\Models\Garden;
use App\Support\Today;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Keeps what is due in the gardens, so that no page works out more than it shows. A garden's rows are written in one
 * stroke and carry the revision they were read at; whoever worked from a later one wins.
 */
final readonly class DueKeeper
{
    /** So many stale gardens are worked out while a page waits; more are left to the queue. */
    public const WHILE_WAITING = 12;

    public function __construct(
        private DueReckoner $reckoner,
        private SignShifts $signs,
        private CorePlants $bridge,
        private ReadsRain $rain,
    ) {
    }

    /**
     * Works out those of the gardens that are stale.
     *
     * @param  list<int>  $gardens
     */
    public function ensure(array $gardens): void
    {
        $basis = $this->basis();
        foreach ($this->stale($basis)->whereIn('gardens.id', $gardens)->pluck('gardens.id') as $id) {
            $this->renew((int) $id, $basis);
        }
    }

    /**
     * Works out whatever is stale in the firm, as long as it is little; otherwise a part, and leaves the rest to the
     * queue. What is shown of all gardens must keep to the fresh ones until all are.
     */
    public function ready(): Readiness
    {
        $basis = $this->basis();
        $stale = $this->stale($basis)
            ->limit(self::WHILE_WAITING + 1)
            ->pluck('gardens.id');
        // Some are worked out in any case: without a worker each look brings the rest nearer.
        foreach ($stale->take(self::WHILE_WAITING) as $id) {
            $this->renew((int) $id, $basis);
        }
        if ($stale->count() > self::WHILE_WAITING) {
            RenewDue::dispatch();

            return new Readiness($basis, $this->stale($basis)->count(), Garden::query()->count());
        }
        if ($this->stale($basis->soon())->exists()) {
            RenewDue::dispatch();
        }

        return new Readiness($basis, 0, 0);
    }

    /** Works out everything that is stale, or soon will be. */
    public function renewAll(): int
    {
        $basis = $this->basis();
        $ids = $this->stale($basis->soon())->orderBy('gardens.id')->pluck('gardens.id');
        foreach ($ids as $id) {
            $this->renew((int) $id, $basis);
            // A thousand gardens' years need not be remembered at once.
            $this->bridge->forget();
        }

        return $ids->count();
    }

    /** @return bool false where somebody else worked it out from a later revision meanwhile */
    public function renew(int $garden, ?Basis $basis = null): bool
    {
        $basis ??= $this->basis();
        // One transaction reads one state of the database: plants, record and revision belong together.
        $kept = DB::transaction(function () use ($garden, $basis): ?KeptGarden {
            $row = Garden::query()->with('plants')->find($garden);
            if ($row?->archived_on !== null) {
                // Nothing is due where nobody works any more.
                $row->setRelation('plants', new Collection);
            }

            return $row === null ? null : $this->reckoner->reckon($row, $basis->from, $basis->coversTo(), Today::day());
        });

        return $kept !== null && $this->keep($kept, $basis);
    }

    /** Writes a garden's rows in one stroke. @return bool false where what is there rests on something later */
    public function keep(KeptGarden $kept, Basis $basis): bool
    {
        return DB::transaction(static function () use ($kept, $basis): bool {
            // The first statement writes, so that the row is ours before anything is compared.
            DB::table('kept_gardens')->insertOrIgnore([
                'garden_id' => $kept->garden,
                'revision' => 0,
                'firm_revision' => 0,
                'book_mark' => '',
                'covers_from' => 0,
                'covers_to' => 0,
                'plants' => 0,
                'tasks' => 0,
                'faults' => 0,
            ]);
            $ours = DB::table('kept_gardens')
                ->where('garden_id', $kept->garden)
                ->where('revision', '<=', $kept->revision)
                ->where('firm_revision', '<=', $basis->firmRevision)
                ->update([
                    'revision' => $kept->revision,
                    'firm_revision' => $basis->firmRevision,
                    'book_mark' => $basis->mark,
                    'covers_from' => $kept->from,
                    'covers_to' => $kept->to,
                    'plants' => count($kept->plants),
                    'tasks' => count($kept->tasks),
                    'faults' => count(
                        array_filter($kept->plants, static fn (array $plant): bool => $plant['fault'] !== null),
                    ),
                ]);
            if ($ours === 0) {
                return false;
            }
            foreach (
                [
                    'season_tasks' => $kept->tasks,
                    'kept_plants' => $kept->plants,
                    'kept_weeks' => $kept->weeks(),
                    'kept_months' => $kept->months(),
                ] as $table => $rows
            ) {
                DB::table($table)->where('garden_id', $kept->garden)->delete();
                self::insert($table, $rows);
            }

            return true;
        });
    }

    /**
     * One statement prepared once and run for each row: five times quicker than long statements made anew each time.
     *
     * @param  list<array<string, int|string|bool|null>>  $rows  all with the same columns
     */
    private static function insert(string $table, array $rows): void
    {
        if ($rows === []) {
            return;
        }
        $connection = DB::connection();
        $statement = $connection
            ->getPdo()
            ->prepare($connection->getQueryGrammar()->compileInsert(DB::table($table), [$rows[0]]));
        foreach ($rows as $row) {
            $statement->execute(
                array_map(
                    static fn (int|string|bool|null $value): int|string|null => is_bool($value)
                        ? (int) $value
                        : $value,
                    array_values($row),
                ),
            );
        }
    }

    /** What holds now. Signs are weighed, and the rain is read, before anything is read that rests on them. */
    private function basis(): Basis
    {
        $today = Today::day();
        $this->signs->weighAllIfDue($this->bridge->firm());
        $this->rain->readIfDue($today);

        return Basis::on($today);
    }

    /** Gardens whose rows are not fresh. */
    private function stale(Basis $basis): Builder
    {
        return $basis->stale(
            DB::table('gardens')->leftJoin('kept_gardens', 'kept_gardens.garden_id', '=', 'gardens.id'),
        );
    }
}
