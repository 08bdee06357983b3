<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;
use Illuminate\Foundation\Application;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;

/** `./hook bench year [YEARS]`: one made-up firm lives through years; prints month by month what they came to. */
final class BenchYearCommand extends Command
{
    private const FROM = '2026-11-02';

    protected $signature = 'bench:year {years=1 : how many} {--days= : in place of whole years}';

    protected $description = 'Carry one made-up firm through years of days and look at what must hold';

    public function handle(): int
    {
        $years = (int) $this->argument('years');
        if ($years < 1 || $years > 20) {
            $this->error('bench year: give a number of years from 1 to 20');

            return self::INVALID;
        }
        $file = storage_path('bench/year.sqlite');
        @mkdir(dirname($file), 0777, true);
        foreach (['', '-wal', '-shm'] as $part) {
            @unlink($file.$part);
        }
        touch($file);
        config([
            'database.connections.sqlite.database' => $file, 'database.default' => 'sqlite',
            // Nothing is lost where it is only measured.
            'database.connections.sqlite.synchronous' => 'OFF',
            'session.driver' => 'array', 'cache.default' => 'array', 'queue.default' => 'database',
            'mail.default' => 'array', 'logging.default' => 'null', 'hook.today' => self::FROM,
        ]);
        DB::purge('sqlite');
        $this->callSilently('migrate', ['--force' => true]);
        $this->callSilently('db:seed', ['--class' => DemoSeeder::class, '--force' => true]);
        $app = $this->laravel;
        assert($app instanceof Application);
        Door::unlock($app);
        $days = $this->option('days') === null ? 365 * $years : (int) $this->option('days');
        $year = new LivedYear($app, fn (string $line) => $this->line($line));
        $year->live(Day::parse(self::FROM), $days);
        $this->line($year->broken === []
            ? "$days days lived: nothing was refused that was offered, every plan accepted, nothing hidden or lost"
            : "$days days lived: ".implode(', ', array_keys($year->broken)));

        return $year->broken === [] ? self::SUCCESS : self::FAILURE;
    }
}
