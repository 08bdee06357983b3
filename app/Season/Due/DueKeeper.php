<?php

declare(strict_types=1);

namespace App\Season\Due;

use App\Ground\Bridge\CorePlants;
use App\Ground\Bridge\ReadsRain;
use App\Ground\Models\Garden;
use App\Ground\Support\Busy;
use App\Ground\Support\Heartbeat;
use App\Ground\Support\Quietly;
use App\Ground\Support\Today;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use PDOException;
use Throwable;

/**
 * Keeps what is due in the gardens, so that no page works out more than it shows. A garden is worked out outside any
 * transaction, from a revision that is read first; its rows are written in one short transaction, and whoever worked
 * from a later revision wins.
 */
final readonly class DueKeeper
{
    /** So many stale gardens are worked out while a page waits; more are left to the queue. */
    public const WHILE_WAITING = 12;

    /** Gardens a worker takes in hand at once, and seconds after which another may take them. */
    private const CLAIMED = 10;

    private const CLAIMED_S = 30;

    public function __construct(
        private DueCalculator $calculator,
        private SignShifts $signs,
        private CorePlants $bridge,
        private ReadsRain $rain,
    ) {
    }

    /**
     * Works out those of the gardens that are stale, for a page that shows them. Where the database cannot be written
     * to, what is kept of them is shown.
     *
     * @param  list<int>  $gardens
     */
    public function ensure(array $gardens): void
    {
        $this->hear();
        $basis = $this->basis();
        $stale = $this->stale($basis)->whereIn('gardens.id', $gardens)->pluck('gardens.id');
        if ($stale->isNotEmpty() && $this->signs->areDue($this->bridge->firm())) {
            self::ask();
        } else {
            Quietly::write(fn () => $stale->each(fn ($id) => $this->renew((int) $id, $basis)));
        }
    }

    /**
     * Weighs signs that were noted since they last were, and reads the rain, where there is no worker that does.
     *
     * @return bool whether a worker still has signs to weigh
     */
    public function hear(): bool
    {
        if (Heartbeat::isAlive(Heartbeat::WORKER)) {
            return SignsToWeigh::areLeft();
        }
        Quietly::write($this->readSigns(...));

        return false;
    }

    /**
     * Works out whatever is stale in the firm, as long as it is little; otherwise it is left to the worker, and to this
     * page bit by bit where none is running. What is shown of all gardens must keep to the fresh ones until all are.
     */
    public function ready(): Readiness
    {
        $hearing = $this->hear();
        $basis = $this->basis();
        // What is stale now will be stale soon as well: mostly nothing is, and one look tells.
        $isSoon = $this->stale($basis->soon())->exists();
        $some = $isSoon
            ? $this->stale($basis)->limit(self::WHILE_WAITING + 1)->pluck('gardens.id')
            : collect();
        if ($some->isEmpty()) {
            if ($hearing || $isSoon) {
                self::ask();
            }

            return new Readiness($basis, 0, 0);
        }
        $many = $some->count() > self::WHILE_WAITING;
        $signs = $this->signs->areDue($this->bridge->firm());
        if ($many || $signs) {
            self::ask();
        }
        if (! $signs && ! ($many && Heartbeat::isAlive(Heartbeat::WORKER))) {
            Quietly::write(fn () => $some->take(self::WHILE_WAITING)
                ->each(fn ($id) => $this->renew((int) $id, $basis)));
        }
        $left = $this->stale($basis)->count();

        return new Readiness($basis, $left, $left === 0 ? 0 : Garden::query()->count());
    }

    /**
     * Works out what is stale, or soon will be: so many seconds of it, in batches that no other worker takes.
     *
     * @param  ?callable(): mixed  $between  after each garden
     * @return Renewal how far it came
     */
    public function renewFor(float $seconds, ?callable $between = null): Renewal
    {
        $this->readSigns();
        $basis = $this->basis();
        $until = hrtime(true) + (int) ($seconds * 1e9);
        $done = 0;
        while (hrtime(true) < $until && ($claimed = $this->claim($basis->soon())) !== []) {
            foreach ($claimed as $id) {
                if (SeenRevision::now() !== $basis->firmRevision) {
                    // What the firm says of its kinds has changed: the rest is read anew by whoever goes on.
                    return new Renewal($done, true);
                }
                $done += $this->tried($id, $basis) ? 1 : 0;
                // A thousand gardens' years need not be remembered at once.
                $this->bridge->forget();
                $between === null || $between();
                if (hrtime(true) >= $until) {
                    break;
                }
            }
        }

        return new Renewal($done, $this->stale($basis->soon())->exists());
    }

    /** Works out everything that is stale, or soon will be, whoever else has it in hand. */
    public function renewAll(?callable $between = null): int
    {
        $this->readSigns();
        $basis = $this->basis();
        $ids = $this->stale($basis->soon())->orderBy('gardens.id')->pluck('gardens.id');
        foreach ($ids as $id) {
            $this->renew((int) $id, $basis);
            $this->bridge->forget();
            $between === null || $between();
        }

        return $ids->count();
    }

    /** @return bool false where somebody else worked it out from a later revision meanwhile */
    public function renew(int $garden, ?Basis $basis = null): bool
    {
        $basis ??= $this->basis();
        // The row with its revision is read first: whatever changes from here on leaves it stale.
        $row = Garden::query()->find($garden);
        if ($row === null) {
            return false;
        }
        // Nothing is due where nobody works any more.
        $row->archived_on === null ? $row->load('plants') : $row->setRelation('plants', new Collection);

        return $this->keep(
            $this->calculator->calculate($row, $basis->from, $basis->coversTo(), $basis->agedOn), $basis,
        );
    }

    /** Writes a garden's rows. @return bool false where what is there, or what the firm says, is of later */
    public function keep(KeptGarden $kept, Basis $basis): bool
    {
        $rows = [
            'season_tasks' => $kept->tasks, 'kept_plants' => $kept->plants, 'kept_weeks' => $kept->weeks(),
            'kept_months' => $kept->months(), 'kept_treatments' => $kept->treatments,
        ];
        $digest = hash('xxh128', serialize($rows));

        return DB::transaction(static function () use ($kept, $basis, $rows, $digest): bool {
            // The first statement writes, so that the row is ours before anything is compared.
            DB::table('kept_gardens')->insertOrIgnore(self::empty($kept->garden));
            if (SeenRevision::now() !== $basis->firmRevision) {
                return false;
            }
            self::fetch($kept);
            $before = DB::table('kept_gardens')->where('garden_id', $kept->garden)->value('digest');
            if (! self::isOurs($kept, $basis, $digest)) {
                return false;
            }
            // The lock is held for no longer than there is something to write.
            foreach ($before === $digest ? [] : $rows as $table => $its) {
                DB::table($table)->where('garden_id', $kept->garden)->delete();
                self::insert($table, $its);
            }

            return true;
        });
    }

    /** Whether nothing newer is kept: then what this was worked out from is written down. */
    private static function isOurs(KeptGarden $kept, Basis $basis, string $digest): bool
    {
        $older = DB::table('kept_gardens')->where('garden_id', $kept->garden)->where('revision', '<=', $kept->revision);

        return $older->update([
            'revision' => $kept->revision,
            'firm_revision' => $basis->firmRevision,
            'book_mark' => $basis->mark,
            'covers_from' => $kept->from,
            'covers_to' => $kept->to,
            'winters' => $kept->winters,
            'questions' => ' '.implode(' ', $kept->questions).' ',
            'digest' => $digest,
            'claimed_until' => 0,
            'plants' => count($kept->plants),
            'tasks' => count($kept->tasks),
            'faults' => count(
                array_filter($kept->plants, static fn (array $plant): bool => $plant['fault'] !== null),
            ),
        ]) > 0;
    }

    /**
     * A plant that was moved here leaves nothing behind in the garden it came from, which is stale as well and may be
     * worked out later.
     */
    private static function fetch(KeptGarden $kept): void
    {
        foreach (array_chunk(array_column($kept->plants, 'plant_id'), 500) as $plants) {
            $moved = DB::table('kept_plants')->whereIn('plant_id', $plants)->where('garden_id', '!=', $kept->garden)
                ->pluck('garden_id', 'plant_id')->all();
            if ($moved !== []) {
                DB::table('season_tasks')->whereIn('plant_id', array_keys($moved))->delete();
                DB::table('kept_plants')->whereIn('plant_id', array_keys($moved))->delete();
                DB::table('kept_gardens')->whereIn('garden_id', [...$moved, $kept->garden])->update(['digest' => '']);
            }
        }
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

    /** @return array<string, int|string> what is kept of a garden before anything is */
    private static function empty(int $garden): array
    {
        return [
            'garden_id' => $garden, 'revision' => 0, 'firm_revision' => 0, 'book_mark' => '', 'covers_from' => 0,
            'covers_to' => 0, 'plants' => 0, 'tasks' => 0, 'faults' => 0,
        ];
    }

    /** What holds now. It is read before anything that rests on it. */
    private function basis(): Basis
    {
        return Basis::on(Today::day());
    }

    /** Signs are weighed, and the rain is read, before anything is worked out that rests on them. */
    private function readSigns(): void
    {
        $this->signs->weigh($this->bridge->firm());
        $this->rain->readIfDue(Today::day());
    }

    /** @return bool false where others hold the database for so long that it is left for the next time */
    private function tried(int $garden, Basis $basis): bool
    {
        try {
            return $this->renew($garden, $basis);
        } catch (PDOException $busy) {
            return Busy::is($busy) ? false : throw $busy;
        }
    }

    /**
     * Takes the next stale gardens in hand.
     *
     * @return list<int>
     */
    private function claim(Basis $basis): array
    {
        $now = time();

        return DB::transaction(function () use ($basis, $now): array {
            $stale = $this->stale($basis)
                ->where(static fn (Builder $free) => $free
                    ->whereNull('claimed_until')
                    ->orWhere('claimed_until', '<', $now)
                    // A clock that was set back must not keep anything for a year.
                    ->orWhere('claimed_until', '>', $now + self::CLAIMED_S))
                ->orderBy('gardens.id')
                ->limit(self::CLAIMED)
                ->pluck('gardens.id');
            $ids = array_values(array_map(intval(...), $stale->all()));
            DB::table('kept_gardens')->insertOrIgnore(array_map(self::empty(...), $ids));
            DB::table('kept_gardens')->whereIn('garden_id', $ids)
                ->update(['claimed_until' => $now + self::CLAIMED_S]);

            return $ids;
        });
    }

    /** Asks the worker; where that cannot be written down, the next page asks again. */
    private static function ask(): void
    {
        try {
            RenewDue::ask();
        } catch (Throwable $fault) {
            report($fault);
        }
    }

    /** Gardens whose rows are not fresh. */
    private function stale(Basis $basis): Builder
    {
        return $basis->stale(
            DB::table('gardens')->leftJoin('kept_gardens', 'kept_gardens.garden_id', '=', 'gardens.id'),
        );
    }
}
