<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use App\Ground\Models\OwnKind;
use App\Ground\Support\Today;
use App\Season\Due\Basis;
use App\Season\Due\DueKeeper;
use App\Season\Due\RenewDue;
use CurlHandle;
use Database\Seeders\FirmBlocks;
use Database\Seeders\FirmSeeder;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PDO;
use PDOException;
use Symfony\Component\Process\Process;

/**
 * `./hook bench renew`: every garden of a firm goes stale while phones send and pages are opened. Prints how long an
 * entry took, what was answered, for how much of the time the write lock was held, and how many gardens a corrected
 * kind makes stale. What must hold: no 503, an entry's 95th percentile under 250 ms, the lock held for less than 35 %.
 */
final class BenchRenewCommand extends Command
{
    /** So many gardens are worked out; more are copies of them. */
    private const BLOCK = 60;

    private const YEARS = 2;

    private const ENTRY_P95_MS = 250;

    private const LOCK_PERCENT = 35;

    /** One of each is under way at any time. */
    private const PAGES = ['season' => '/', 'round' => '/round', 'garden' => '/gardens/%d'];

    /**
     * Milliseconds between an answer and what is asked next: of a phone that sends, and of somebody who reads a page.
     */
    private const PAUSE_MS = 150;

    private const READING_MS = 1000;

    protected $signature = 'bench:renew {gardens=1000} {--keep : use the firm that was made the last time} '
        .'{--port=8186}';

    protected $description = 'Make all of a firm stale while entries, seasons and rounds go on';

    public function handle(): int
    {
        $gardens = (int) $this->argument('gardens');
        $file = storage_path("bench/renew-$gardens.sqlite");
        $this->firm($file, $gardens);
        $stale = $this->corrected();
        $office = new Office($file, (int) $this->option('port'));
        $office->optimize();
        $office->open();
        $workers = array_map(
            static fn (string $queue): Process => $office->start([
                'nice', PHP_BINARY, '-d', 'opcache.enable_cli=1', 'artisan', 'queue:work', "--queue=$queue",
                '--sleep=1', '--quiet',
            ], quiet: true),
            ['default', 'long'],
        );
        try {
            $held = $this->load($office, $gardens);
        } finally {
            foreach ($workers as $worker) {
                $worker->stop(1);
            }
            $office->kill();
        }

        return $held && $stale ? self::SUCCESS : self::FAILURE;
    }

    private function firm(string $file, int $gardens): void
    {
        @mkdir(dirname($file), 0777, true);
        $made = $this->option('keep') === true && is_file($file);
        if (! $made) {
            foreach (['', '-wal', '-shm'] as $part) {
                @unlink($file.$part);
            }
            touch($file);
        }
        config([
            'database.connections.sqlite.database' => $file, 'database.default' => 'sqlite',
            'hook.today' => Office::DAY, 'queue.default' => 'database', 'cache.default' => 'array',
        ]);
        DB::purge('sqlite');
        $this->callSilently('migrate', ['--force' => true]);
        if (! $made) {
            app(FirmSeeder::class)->fill(min($gardens, self::BLOCK), FirmSeeder::PLANTS, self::YEARS);
        }
        app(DueKeeper::class)->renewAll();
        if (! $made) {
            app(FirmBlocks::class)->grow($gardens);
        }
        DB::table('jobs')->delete();
        $this->line(sprintf('%d gardens, %d plants, all fresh', $gardens, DB::table('plants')->count()));
    }

    /** A corrected kind makes stale the gardens that have it, and no other. */
    private function corrected(): bool
    {
        $kind = 'lilac';
        $have = DB::table('plants')->where('kind', $kind)->whereNull('deleted_at')->distinct()->count('garden_id');
        $began = hrtime(true);
        OwnKind::query()->create([
            'kind' => $kind, 'entry' => ['phenology' => ['bloom-end' => 'bloom-start+'.random_int(20, 40)]],
            'note' => 'Seen here.',
        ]);
        $ms = (hrtime(true) - $began) / 1e6;
        app()->forgetScopedInstances();
        $stale = Basis::on(Today::day())->stale(
            DB::table('gardens')->leftJoin('kept_gardens', 'kept_gardens.garden_id', '=', 'gardens.id'),
        )->count();
        $this->line(sprintf(
            'a kind corrected in %.0f ms: %d of %d gardens stale, %d have it', $ms, $stale,
            DB::table('gardens')->count(), $have,
        ));
        app(DueKeeper::class)->renewAll();
        DB::table('jobs')->delete();

        return $stale === $have;
    }

    private function load(Office $office, int $gardens): bool
    {
        $people = [];
        foreach (['entry 1', 'entry 2', ...array_keys(self::PAGES)] as $what) {
            $people[$what] = new StormPerson($office->address(), 'planner@hollowbrook.test');
            $people[$what]->signIn();
        }
        $tasks = $office->rows(
            'select t.visit_id as visit, t.id as task from visit_tasks t join visits v on v.id = t.visit_id'
            .' where v."on" >= \''.Office::DAY.'\' limit 500',
        );
        DB::table('gardens')->increment('revision');
        // Entries make gardens stale again: it is over when each has been worked out since.
        DB::statement('drop table if exists bench_stale');
        DB::statement('create table bench_stale as select id, revision from gardens');
        RenewDue::ask();
        $lock = new PDO("sqlite:$office->file", options: [
            PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION, PDO::ATTR_TIMEOUT => 0,
        ]);
        $line = curl_multi_init();
        $under = $took = $statuses = $next = [];
        $tried = $taken = 0;
        $began = $looked = microtime(true);
        while (true) {
            $now = microtime(true);
            foreach ($people as $what => $person) {
                if (! isset($under[$what]) && $now >= ($next[$what] ?? 0)) {
                    $under[$what] = [$this->asked($person, $what, $tasks, $gardens), $now];
                    curl_multi_add_handle($line, $under[$what][0]);
                }
            }
            curl_multi_exec($line, $running);
            curl_multi_select($line, 0.002);
            while (($done = curl_multi_info_read($line)) !== false) {
                /** @var CurlHandle $handle */
                $handle = $done['handle'];
                $what = (string) array_search($handle, array_column(array_map(
                    static fn (string $what, array $each): array => [$what, $each[0]], array_keys($under), $under,
                ), 1, 0), true);
                $took[(string) strtok($what, ' ')][] = 1000 * (microtime(true) - ($under[$what][1] ?? $now));
                $status = (int) curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
                $statuses[$status] = ($statuses[$status] ?? 0) + 1;
                $next[$what] = microtime(true) + self::pause($what);
                unset($under[$what]);
                curl_multi_remove_handle($line, $handle);
            }
            $tried++;
            $taken += self::isHeld($lock) ? 1 : 0;
            if ($now - $looked > 1) {
                $looked = $now;
                if (self::left($office) === 0) {
                    break;
                }
            }
        }
        curl_multi_close($line);

        return $this->told($took, $statuses, 100 * $taken / max(1, $tried), microtime(true) - $began);
    }

    private static function pause(string $what): float
    {
        return (str_starts_with($what, 'entry') ? self::PAUSE_MS : self::READING_MS) / 1000;
    }

    /** @param  list<array<string, scalar>>  $tasks */
    private function asked(StormPerson $person, string $what, array $tasks, int $gardens): CurlHandle
    {
        if (! str_starts_with($what, 'entry')) {
            return $person->open(sprintf(self::PAGES[$what], random_int(1, $gardens)));
        }
        $task = $tasks[array_rand($tasks)];

        return $person->json('/entries', ['now' => Carbon::now()->toIso8601String(), 'entries' => [[
            'v' => 1, 'id' => (string) Str::uuid(), 'kind' => 'log', 'visit' => $task['visit'], 'task' => $task['task'],
            'said_at' => Carbon::now()->toIso8601String(), 'corrects' => [],
            'body' => ['outcome' => 'done', 'minutes' => 20],
        ]]]);
    }

    private static function isHeld(PDO $lock): bool
    {
        try {
            $lock->exec('begin immediate');
            $lock->exec('rollback');

            return false;
        } catch (PDOException) {
            return true;
        }
    }

    private static function left(Office $office): int
    {
        return (int) $office->rows(
            'select count(*) as n from bench_stale g left join kept_gardens k on k.garden_id = g.id'
            .' where k.garden_id is null or k.revision < g.revision',
        )[0]['n'];
    }

    /**
     * @param  array<string, list<float>>  $took  milliseconds by what was asked
     * @param  array<int, int>  $statuses
     */
    private function told(array $took, array $statuses, float $lock, float $seconds): bool
    {
        $p95 = 0.0;
        foreach ($took as $what => $each) {
            sort($each);
            $at = static fn (float $share): float => $each[(int) floor($share * (count($each) - 1))];
            $p95 = $what === 'entry' ? $at(0.95) : $p95;
            $this->line(sprintf(
                '%-7s %4d answered: p50 %.0f ms, p95 %.0f ms, most %.0f ms', $what, count($each), $at(0.5), $at(0.95),
                $at(1),
            ));
        }
        $other = array_diff_key($statuses, [200 => 1]);
        $this->line(sprintf(
            'all worked out in %.0f s; write lock held %.0f %% of the time; %s', $seconds, $lock,
            $other === [] ? 'nothing but 200 was answered' : 'answers: '.json_encode($statuses),
        ));

        return $other === [] && $p95 < self::ENTRY_P95_MS && $lock < self::LOCK_PERCENT;
    }
}
