<?php

declare(strict_types=1);

namespace Tests\Feature\Season;

use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Models\Role;
use App\Ground\Models\User;
use App\Office\Clients\ClientLinks;
use App\Season\Due\DueKeeper;
use App\Season\Due\Renewal;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PDO;
use RuntimeException;

/** Two at the same database, as a server and its worker are: one writes a garden's rows while the other reads them. */
final class KeptTogetherTest extends TestCase
{
    private string $file;

    protected function setUp(): void
    {
        parent::setUp();
        $this->file = (string) tempnam(sys_get_temp_dir(), 'hook');
        config([
            'hook.today' => '2027-02-20',
            'database.connections.shared' => [
                ...(array) config('database.connections.sqlite'),
                'database' => $this->file,
            ],
        ]);
        DB::setDefaultConnection('shared');
        Artisan::call('migrate', ['--database' => 'shared', '--force' => true]);
    }

    protected function tearDown(): void
    {
        DB::purge('shared');
        foreach (['', '-wal', '-shm'] as $part) {
            @unlink($this->file.$part);
        }
        parent::tearDown();
    }

    public function test_no_half_built_rows_are_seen(): void
    {
        $garden = Garden::factory()->create();
        Plant::factory()
            ->count(6)
            ->create(['garden_id' => $garden->id]);
        $keeper = $this->app->make(DueKeeper::class);
        $keeper->renew($garden->id);
        $reader = new PDO("sqlite:$this->file", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $seen = static fn (): string => implode(
            ' ',
            array_map(
                static fn (string $table): string => (string) $reader
                    ->query("select count(*) from $table")
                    ->fetchColumn(),
                ['season_tasks', 'kept_plants', 'kept_weeks'],
            ),
        );
        $before = $seen();
        Plant::factory()->create(['garden_id' => $garden->id, 'kind' => 'lilac']);
        $between = [];
        DB::listen(static function () use (&$between, $seen): void {
            $between[] = $seen();
        });
        $keeper->renew($garden->id);
        self::assertGreaterThan(6, count($between), 'it was looked at between the writes');
        $after = $seen();
        self::assertNotSame($before, $after);
        self::assertSame([], array_values(array_diff($between, [$before, $after])));
    }

    public function test_a_change_and_the_revision_it_raises_are_written_together_or_not_at_all(): void
    {
        $garden = Garden::factory()->create();
        $plant = Plant::factory()->create(['garden_id' => $garden->id, 'height_mm' => 1000]);
        $revision = (int) DB::table('gardens')->value('revision');
        $reader = new PDO("sqlite:$this->file", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $between = [];
        DB::listen(static function () use (&$between, $reader): void {
            $between[] = $reader->query('select height_mm, revision from plants, gardens')->fetch(PDO::FETCH_NUM);
        });
        $plant->update(['height_mm' => 2000]);
        self::assertContains([1000, $revision], $between, 'it was looked at before both were there');
        self::assertSame(
            [],
            array_filter(
                $between,
                static fn (array $seen): bool => $seen !== [1000, $revision] && $seen !== [2000, $revision + 1],
            ),
        );
        Plant::saved(static fn () => throw new RuntimeException('the power went'));
        try {
            $plant->update(['height_mm' => 3000]);
            self::fail('the write must not go through');
        } catch (RuntimeException) {
            self::assertSame(
                [2000, $revision + 1],
                $reader->query('select height_mm, revision from plants, gardens')->fetch(PDO::FETCH_NUM),
            );
        }
    }

    public function test_pages_are_shown_while_another_holds_the_database(): void
    {
        config(['database.connections.shared.busy_timeout' => 20]);
        DB::purge('shared');
        $this->withoutVite();
        $garden = Garden::factory()->create();
        $plant = Plant::factory()->create(['garden_id' => $garden->id]);
        $planner = User::factory()->create(['role' => Role::Planner]);
        $link = $this->app->make(ClientLinks::class)->open($garden, null);
        $pages = ['/', '/?by=kind', '/gardens', "/gardens/$garden->id", "/plants/$plant->id", '/plan', '/round',
            "/gardens/$garden->id/visits/plan", '/record', '/search?q=wis', '/people', '/account', '/files',
            (string) parse_url($link, PHP_URL_PATH)];
        $holder = new PDO("sqlite:$this->file", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        foreach ([false, true] as $fresh) {
            if ($fresh) {
                $this->app->make(DueKeeper::class)->renewAll();
            }
            $holder->exec('begin immediate');
            foreach ($pages as $page) {
                $this->flushSession();
                $this->actingAs($planner)->get($page)->assertOk();
            }
            $holder->exec('rollback');
        }
        self::assertSame(0, DB::table('devices')->count(), 'what is noted besides was left out');
    }

    public function test_a_garden_that_others_hold_is_left_for_the_next_time(): void
    {
        config(['database.connections.shared.busy_timeout' => 20]);
        DB::purge('shared');
        Plant::factory()->create(['garden_id' => Garden::factory()->create()->id]);
        Plant::factory()->create(['garden_id' => Garden::factory()->create()->id]);
        $holder = new PDO("sqlite:$this->file", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $looked = 0;
        DB::listen(static function (QueryExecuted $query) use ($holder, &$looked): void {
            // After the first two are claimed, as the first is being worked out.
            if (str_contains($query->sql, 'from "plants"') && $looked++ === 0) {
                $holder->exec('begin immediate');
            }
        });
        $keeper = $this->app->make(DueKeeper::class);
        $renewal = $keeper->renewFor(10.0, static function () use ($holder, &$looked): void {
            if ($looked++ < 10) {
                $holder->exec('rollback');
                $looked = 10;
            }
        });
        self::assertEquals(new Renewal(1, true), $renewal);
        DB::table('kept_gardens')->update(['claimed_until' => 0]);
        self::assertEquals(new Renewal(1, false), $keeper->renewFor(10.0));
    }

    public function test_a_page_reads_one_state_while_another_writes(): void
    {
        $garden = Garden::factory()->create();
        Plant::factory()->create(['garden_id' => $garden->id]);
        $keeper = $this->app->make(DueKeeper::class);
        $keeper->renew($garden->id);
        $reader = new PDO("sqlite:$this->file", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $count = static fn (): int => (int) $reader->query('select count(*) from season_tasks')->fetchColumn();
        $reader->beginTransaction();
        $first = $count();
        Plant::factory()->create(['garden_id' => $garden->id, 'kind' => 'lilac']);
        $keeper->renew($garden->id);
        self::assertSame($first, $count(), 'what a page began to read it goes on to read');
        $reader->commit();
        self::assertGreaterThan($first, $count());
    }
}
