<?php

declare(strict_types=1);

namespace Tests\Feature\Ground;

use App\Ground\Models\Plant;
use App\Ground\Models\VisitTask;
use App\Ground\Support\SqliteConnection;
use Illuminate\Database\QueryException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Queue\Worker;
use Illuminate\Session\ArraySessionHandler;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use LogicException;
use PDO;
use PDOException;
use RuntimeException;
use Tests\Feature\FeatureTestCase;

/** Transactions that begin by writing, forms that make one however often they are sent, tasks that stand once. */
final class WritesTest extends FeatureTestCase
{
    public function test_a_transaction_holds_the_write_lock_from_its_beginning(): void
    {
        [$pen, $file] = $this->pen();
        self::assertSame(
            ['wal', 2, 50, 1],
            array_map(static fn (string $pragma): mixed => $pen->scalar("pragma $pragma"), [
                'journal_mode', 'synchronous', 'busy_timeout', 'foreign_keys',
            ]),
        );
        $other = new PDO("sqlite:$file", options: [PDO::ATTR_TIMEOUT => 0]);
        $write = static function () use ($other): string {
            try {
                return $other->exec("insert into lines values ('theirs')") === 1 ? 'written' : '';
            } catch (PDOException $busy) {
                return (string) ($busy->errorInfo[1] ?? '');
            }
        };
        $pen->transaction(static function () use ($pen, $write): void {
            // Nothing is read or written yet, and still nobody else can write.
            self::assertSame('5', $write());
            $pen->transaction(static fn () => $pen->table('lines')->insert(['line' => 'ours']));
        });
        self::assertSame('written', $write());
        try {
            $pen->transaction(static function () use ($pen): void {
                $pen->table('lines')->insert(['line' => 'never']);
                throw new LogicException('no');
            });
        } catch (LogicException) {
        }
        // Where another has it too long, that is said, and the next transaction is as good as the first.
        $other->exec('begin immediate');
        try {
            $pen->transaction(static fn () => null);
            self::fail('two held the write lock');
        } catch (PDOException $busy) {
            self::assertSame(5, $busy->errorInfo[1] ?? null);
        }
        $other->exec('rollback');
        $pen->transaction(static fn () => $pen->table('lines')->insert(['line' => 'ours again']));
        self::assertSame(['ours', 'theirs', 'ours again'], $pen->table('lines')->pluck('line')->all());
        $pen->disconnect();
        unlink($file);
    }

    public function test_what_only_reads_keeps_nobody_from_writing_and_cannot_write(): void
    {
        [$pen, $file] = $this->pen();
        $other = new PDO("sqlite:$file", options: [PDO::ATTR_TIMEOUT => 0]);
        $read = $pen->reading(static function () use ($pen, $other): array {
            $before = $pen->table('lines')->count();
            $other->exec("insert into lines values ('theirs')");

            return [$before, $pen->table('lines')->count()];
        });
        self::assertSame([0, 0], $read, 'and it goes on reading what it began to read');
        self::assertSame(1, $pen->table('lines')->count());
        try {
            $pen->reading(static fn () => $pen->table('lines')->insert(['line' => 'ours']));
            self::fail('a reader wrote');
        } catch (QueryException $refused) {
            self::assertStringContainsString('readonly', $refused->getMessage());
        }
        $pen->transaction(static fn () => $pen->table('lines')->insert(['line' => 'ours']));
        self::assertSame(['theirs', 'ours'], $pen->table('lines')->pluck('line')->all());
        // Within a transaction that writes, it sees what has been written so far.
        $pen->transaction(static function () use ($pen): void {
            $pen->table('lines')->insert(['line' => 'more']);
            self::assertSame(3, $pen->reading(static fn (): int => $pen->table('lines')->count()));
        });
        $pen->disconnect();
        unlink($file);
    }

    public function test_a_connection_that_sqlite_rolled_back_by_itself_is_thrown_away(): void
    {
        [$pen, $file] = $this->pen();
        $other = new PDO("sqlite:$file", options: [PDO::ATTR_TIMEOUT => 0]);
        // What SQLite does where the disk is full: the transaction is gone, and nobody has told PDO.
        $full = static function () use ($pen): never {
            $pen->getPdo()->exec('ROLLBACK');
            throw new LogicException('database or disk is full');
        };
        foreach ([1, 2] as $depth) {
            try {
                $pen->transaction($depth === 1 ? $full : static fn () => $pen->transaction($full));
                self::fail('it went on');
            } catch (RuntimeException|LogicException $thrown) {
                self::assertNotInstanceOf(PDOException::class, $thrown);
            }
            self::assertSame(0, $pen->transactionLevel());
            $pen->transaction(static fn () => $pen->table('lines')->insert(['line' => "after $depth"]));
            self::assertSame($depth, (int) $other->query('select count(*) from lines')->fetchColumn());
        }
        // And where COMMIT itself is refused.
        $pen->statement('create table owners (id integer primary key)');
        $pen->statement('create table owned (owner integer references owners deferrable initially deferred)');
        foreach ([0, 1] as $by) {
            try {
                $write = static fn () => $pen->table('owned')->insert(['owner' => 7]);
                if ($by === 0) {
                    $pen->transaction($write);
                } else {
                    $pen->beginTransaction();
                    $write();
                    $pen->commit();
                }
                self::fail('it was committed');
            } catch (PDOException $refused) {
                self::assertStringContainsString('FOREIGN KEY', $refused->getMessage());
            }
            $pen->transaction(static fn () => $pen->table('lines')->insert(['line' => "kept $by"]));
            self::assertSame(3 + $by, (int) $other->query('select count(*) from lines')->fetchColumn());
        }
        $pen->disconnect();
        unlink($file);
    }

    public function test_a_worker_ends_where_the_disk_or_the_database_is_broken(): void
    {
        $worker = $this->app->make('queue.worker');
        self::assertInstanceOf(Worker::class, $worker);
        $faults = ['database or disk is full' => true, 'disk I/O error' => true, 'database is locked' => false,
            'database disk image is malformed' => true, 'attempt to write a readonly database' => true];
        foreach ($faults as $says => $ends) {
            $fault = new PDOException("SQLSTATE[HY000]: General error: $says");
            self::assertSame($ends, (function () use ($fault): bool {
                $this->lostConnection = false;
                $this->stopWorkerIfLostConnection($fault);

                return $this->lostConnection;
            })->call($worker), $says);
        }
    }

    /** @return array{SqliteConnection, string} a connection to a file of its own, with a table of lines */
    private function pen(): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'pen');
        config(['database.connections.pen' => [
            'driver' => 'sqlite', 'database' => $file, 'prefix' => '', 'busy_timeout' => 50, 'journal_mode' => 'WAL',
            'synchronous' => 'FULL', 'foreign_key_constraints' => true,
        ]]);
        DB::purge('pen');
        $pen = DB::connection('pen');
        self::assertInstanceOf(SqliteConnection::class, $pen);
        $pen->statement('create table lines (line text)');

        return [$pen, $file];
    }

    public function test_a_busy_office_says_so_and_keeps_nothing(): void
    {
        Route::post('busy', static function (): never {
            $busy = new PDOException('database is locked');
            $busy->errorInfo = ['HY000', 5, 'database is locked'];

            throw $busy;
        });
        $this->post('/busy')->assertStatus(503)->assertHeader('Retry-After')->assertSee('send it again');
        $this->postJson('/busy')->assertStatus(503)
            ->assertJson(['message' => 'The office is busy. Nothing was kept: send it again.']);
    }

    public function test_a_full_disk_a_write_protected_one_and_missing_assets_each_have_a_page(): void
    {
        $faults = [
            'database or disk is full' => [507, 'The disk is full', 'disk is full: nothing was kept'],
            'attempt to write a readonly database' => [503, 'Nothing can be saved', 'cannot be written to'],
        ];
        foreach ($faults as $says => [$status, $page, $message]) {
            Route::any('fault', static fn () => throw new PDOException("SQLSTATE[HY000]: General error: $says"));
            $this->post('/fault')->assertStatus($status)->assertSee($page)->assertDontSee('SQLSTATE');
            $this->postJson('/fault')->assertStatus($status)->assertSee($message)->assertDontSee('SQLSTATE');
        }
        // What the session would have kept is lost; the page is shown.
        $this->app->make('session')->extend('full', static fn () => new class extends ArraySessionHandler
        {
            public function __construct()
            {
                parent::__construct(10);
            }

            public function write($sessionId, $data): bool
            {
                throw new RuntimeException('file_put_contents(): Write failed: No space left on device');
            }
        });
        config(['session.driver' => 'full']);
        $this->get('/sign-in')->assertOk();
        config(['session.driver' => 'array']);
        $this->withVite();
        $this->app->usePublicPath(sys_get_temp_dir().'/nothing-built');
        $this->get('/sign-in')->assertStatus(503)->assertSee('npm run build');
    }

    public function test_a_form_sent_twice_makes_one(): void
    {
        $this->actingAs($this->planner());
        $once = Str::uuid()->toString();
        $facts = ['kind' => 'bush-rose', 'label' => 'By the gate', 'count' => '1', '_once' => $once];
        $form = "/gardens/{$this->garden->id}/plants";
        $this->get("$form/create")->assertSee('name="_once"', false);
        // What was refused is not used up.
        $this->post($form, [...$facts, 'count' => 'many'])->assertSessionHasErrors('count');
        $first = $this->post($form, $facts)->assertSessionHasNoErrors()->headers->get('Location');
        foreach ([$facts, [...$facts, 'label' => 'Changed after Back']] as $again) {
            $this->post($form, $again)->assertRedirect((string) $first)->assertSessionHas(
                'said', 'This form was sent before: here is what it made. Nothing was saved a second time.',
            );
        }
        self::assertSame(['By the gate'], Plant::query()->where('kind', 'bush-rose')->pluck('label')->all());
        // It is its sender's own: with somebody else it opens nothing.
        $this->actingAs($this->lead())->post($form, $facts)->assertStatus(419);
        $this->actingAs($this->planner())->post($form, [...$facts, '_once' => Str::uuid()->toString()]);
        self::assertSame(2, Plant::query()->where('kind', 'bush-rose')->count());
    }

    public function test_a_task_stands_on_one_visit_by_a_rule_of_the_database(): void
    {
        $this->actingAs($this->planner());
        $plan = fn (string $on) => $this->post("/gardens/{$this->garden->id}/visits", [
            'on' => $on, 'tasks' => ["{$this->wisteria->id}:winter-pass:2027"], 'outside_reason' => 'So',
            'crew_id' => $this->crew->id,
        ]);
        $plan('2027-02-22')->assertSessionHasNoErrors();
        $plan('2027-02-23')->assertSessionHasErrors('tasks');
        $first = VisitTask::query()->sole();
        try {
            $other = $this->garden->visits()->create(['on' => '2027-02-24']);
            DB::transaction(static fn () => $other->tasks()->create([
                ...$first->only(['plant_id', 'task', 'season', 'position', 'minutes', 'prescribed']),
                'standing' => true,
            ]));
            self::fail('it stands twice');
        } catch (UniqueConstraintViolationException) {
        }
        // Its day goes by without it: it is planned again, and the missed visit cannot be moved ahead with it.
        config(['hook.today' => '2027-03-01']);
        $plan('2027-03-02')->assertSessionHasNoErrors();
        $this->put("/visits/$first->visit_id", ['on' => '2027-03-03', 'outside_reason' => 'So'])
            ->assertSessionHasErrors('on');
        self::assertSame('2027-02-22', (string) $first->visit->refresh()->on);
        $second = VisitTask::query()->where('standing', 1)->sole();
        self::assertNotSame($first->id, $second->id);
        // Logged it stands no more; taken back it stands again.
        $this->put("/tasks/$second->id/log", ['outcome' => 'partly', 'why' => 'time', 'minutes' => 20]);
        self::assertNull($second->refresh()->standing);
        $this->delete("/tasks/$second->id/log")->assertSessionHasNoErrors();
        self::assertTrue($second->refresh()->standing);
    }
}
