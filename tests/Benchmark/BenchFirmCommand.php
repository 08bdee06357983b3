<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use App\Season\Due\DueKeeper;
use Database\Seeders\FirmBlocks;
use Database\Seeders\FirmSeeder;
use Illuminate\Console\Command;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Bootstrap\LoadConfiguration;
use Illuminate\Support\Facades\DB;
use PDO;
use Symfony\Component\Console\Command\Command as Exit_;

/** `./hook bench firm`: what every page takes in a firm of many gardens, made up for it in a database of its own. */
final class BenchFirmCommand extends Command
{
    /** So many gardens are worked out, with all their years; more are copies of them. */
    private const BLOCK = 60;

    protected $signature = 'bench:firm {gardens=60 : how many gardens} {--keep : measure the firm that was made the '
        .'last time} {--looks=15 : how often each page is looked at} {--json : what does not depend on the machine, '
            .'as JSON: queries, rows, bytes, status and scans of each page}';

    protected $description = 'Measure every page in a firm of many gardens';

    public function handle(): int
    {
        $gardens = (int) $this->argument('gardens');
        if ($gardens < 2 || $gardens > 5000) {
            $this->error('bench firm: give a number of gardens from 2 to 5000');

            return Exit_::INVALID;
        }
        $file = storage_path("bench/firm-$gardens.sqlite");
        $boot = self::booting($file);
        if (! $this->option('keep') || ! is_file($file)) {
            $this->make($file, $gardens, $boot);
        } else {
            // The one kept may be of an earlier version.
            self::migrate($boot());
        }
        $this->option('json')
            ? $this->counts($file, $boot)
            : $this->measure($file, $boot, max(3, (int) $this->option('looks')));

        return Exit_::SUCCESS;
    }

    /**
     * Applications on the measured database and never on the user's: whatever environment and settings say is
     * overruled.
     *
     * @return callable(): Application
     */
    private static function booting(string $file): callable
    {
        $day = config('hook.today');
        $settings = [
            'database.connections.sqlite.database' => $file,
            'database.default' => 'sqlite',
            'session.driver' => 'array',
            'cache.default' => 'file',
            'queue.default' => 'null',
            'hook.today' => is_string($day) && $day !== '' ? $day : '2027-03-01',
        ];

        return static function () use ($settings): Application {
            /** @var Application $app */
            $app = require base_path('bootstrap/app.php');
            $app->afterBootstrapping(
                LoadConfiguration::class,
                static fn (Application $app) => $app->make('config')->set($settings),
            );

            return $app;
        };
    }

    private static function migrate(Application $app): void
    {
        $app->make(Console::class)->bootstrap();
        $app->make(Console::class)->call('migrate', ['--force' => true]);
    }

    /** @param  callable(): Application  $boot */
    private function make(string $file, int $gardens, callable $boot): void
    {
        @mkdir(dirname($file), 0777, true);
        foreach (['', '-wal', '-shm'] as $part) {
            @unlink($file.$part);
        }
        touch($file);
        $app = $boot();
        self::migrate($app);
        $start = hrtime(true);
        $app->make(FirmSeeder::class)->fill(min($gardens, self::BLOCK));
        $seeded = (hrtime(true) - $start) / 1e9;
        gc_collect_cycles();
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $start = hrtime(true);
        $app->make(DueKeeper::class)->renewAll();
        $seconds = (hrtime(true) - $start) / 1e9;
        $this->told(
            sprintf(
                'made %d gardens in %.1f s; kept what is due of them in %.1f s, %.2f ms a plant, %.0f MB',
                DB::table('gardens')->count(),
                $seeded,
                $seconds,
                (1000 * $seconds) / DB::table('plants')->count(),
                (memory_get_peak_usage() - $before) / 1e6,
            ),
        );
        $start = hrtime(true);
        $full = $app->make(FirmBlocks::class)->grow($gardens);
        $this->told(sprintf(
            'of them %d gardens in %.1f s, %.0f MB on disk: %s; crews %.0f %% full in season', $gardens,
            (hrtime(true) - $start) / 1e9, (filesize($file) + (int) @filesize("$file-wal")) / 1e6,
            implode(', ', array_map(
                static fn (string $table): string => number_format(DB::table($table)->count()).' '
                    .str_replace('_', ' ', $table),
                ['plants', 'visits', 'work_logs', 'entries', 'photos', 'changes', 'letters', 'client_words',
                    'stem_surveys', 'crews', 'users', 'season_tasks'],
            )), 100 * $full,
        ));
        DB::disconnect();
        $app->flush();
    }

    private function told(string $line): void
    {
        if (! $this->option('json')) {
            $this->line($line);
        }
    }

    /** @param  callable(): Application  $boot */
    private function counts(string $file, callable $boot): void
    {
        [$probe, $pages, $database] = self::ready($file, $boot);
        $counts = [];
        foreach ($pages as $name => $address) {
            // What is kept from one look to the next is there.
            $probe->look($address);
            $look = $probe->look($address);
            $counts[$name] = [
                'address' => $address,
                'status' => $look->status,
                'queries' => count($look->queries),
                'rows' => Probe::raw($look, $database)[0],
                'bytes' => $look->bytes,
                'scans' => Probe::scans($look, $database),
            ];
        }
        $this->output->write(json_encode($counts, JSON_THROW_ON_ERROR));
    }

    /**
     * @param  callable(): Application  $boot
     * @return array{Probe, array<string, string>, PDO}
     */
    private static function ready(string $file, callable $boot): array
    {
        $app = $boot();
        $app->make(Console::class)->bootstrap();
        $pages = Pages::all();
        DB::disconnect();

        return [
            new Probe($boot),
            $pages,
            new PDO("sqlite:$file", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]),
        ];
    }

    /** @param  callable(): Application  $boot */
    private function measure(string $file, callable $boot, int $looks): void
    {
        [$probe, $pages, $database] = self::ready($file, $boot);
        $this->line(
            sprintf(
                '%-22s %8s %8s %8s %7s %7s %8s %9s %9s',
                'page',
                'median',
                'p95',
                'queries',
                'rows',
                'MB',
                'bytes',
                'x empty',
                'x raw',
            ),
        );
        foreach ($pages as $name => $address) {
            $look = $probe->look($address);
            $times = $empty = [];
            for ($time = 0; $time < $looks; $time++) {
                // In turn, so that whatever else the machine is doing slows both.
                $empty[] = $probe->look(Pages::EMPTY)->ms;
                $look = $probe->look($address);
                $times[] = $look->ms;
            }
            [$rows] = Probe::raw($look, $database);
            $raw = self::median(array_map(static fn (): float => Probe::raw($look, $database)[1], range(1, 5)));
            $this->line(
                sprintf(
                    '%-22s %6.1fms %6.1fms %8d %7d %7.1f %8d %8.1fx %8.1fx%s',
                    $name,
                    self::median($times),
                    self::quantile($times, 0.95),
                    count($look->queries),
                    $rows,
                    $look->peakBytes / 1e6,
                    $look->bytes,
                    self::median(
                        array_map(static fn (float $page, float $none): float => $page / $none, $times, $empty),
                    ),
                    self::median($times) / max(0.01, $raw),
                    $look->status === 200 ? '' : " status $look->status",
                ),
            );
        }
    }

    /** @param  list<float>  $values */
    private static function median(array $values): float
    {
        return self::quantile($values, 0.5);
    }

    /** @param  list<float>  $values */
    private static function quantile(array $values, float $share): float
    {
        sort($values);

        return $values[(int) floor($share * (count($values) - 1) + 0.5)] ?? 0.0;
    }
}
