<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use App\Ground\Models\Garden;
use App\Ground\Models\Import;
use App\Io\Csv\CsvText;
use App\Io\Csv\Tables;
use App\Io\Import\ReadImport;
use App\Io\Import\TakeBackImport;
use App\Io\Import\WriteImport;
use Illuminate\Console\Command;
use Illuminate\Database\Events\TransactionBeginning;
use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Storage;
use PruningHook\Core\PlantBook\PlantBook;

/** `./hook bench import`: how long a table of many plants takes to be read and taken in, and what memory. */
final class BenchImportCommand extends Command
{
    protected $signature = 'bench:import {plants=40000 : how many}';

    protected $description = 'Take a table of many plants in';

    private const PER_GARDEN = 40;

    public function handle(Tables $tables): int
    {
        $plants = max(1, min(60_000, (int) $this->argument('plants')));
        $folder = storage_path('bench/import');
        is_dir($folder) || mkdir($folder, 0777, true);
        foreach (['', '-wal', '-shm'] as $part) {
            @unlink("$folder/import.sqlite$part");
        }
        touch("$folder/import.sqlite");
        config([
            'database.connections.sqlite.database' => "$folder/import.sqlite", 'queue.default' => 'null',
            'filesystems.disks.local.root' => $folder, 'cache.default' => 'array', 'hook.today' => '2027-03-01',
        ]);
        DB::purge();
        $this->callSilently('migrate', ['--force' => true]);
        $import = Import::query()->create(['of' => 'plants', 'name' => 'bench.csv', 'status' => Import::READING]);
        Storage::disk('local')->put($import->path(), $this->written($plants));
        [$read, $readMb] = self::timed(static fn () => (new ReadImport($import->id))->handle($tables));
        $import->refresh()->update(['status' => Import::WRITING]);
        $held = 0.0;
        $this->longest($held);
        [$written, $writtenMb] = self::timed(
            static fn () => (new WriteImport($import->id))->handle($tables),
        );
        $this->line(sprintf(
            '%s lines (%.1f MB) read in %.1f s, %.0f MB; %s taken in in %.1f s, %.0f MB; %s; %d wrong',
            number_format($plants), Storage::disk('local')->size($import->path()) / 1e6, $read, $readMb,
            number_format(DB::table('plants')->count()), $written, $writtenMb, $import->refresh()->status,
            $import->wrong,
        ));
        $taken = $held;
        $held = 0.0;
        $import->update(['status' => Import::TAKING_BACK]);
        [$back, $backMb] = self::timed(fn () => $this->laravel->call([new TakeBackImport($import->id), 'handle']));
        $this->line(sprintf(
            'taken back in %.1f s, %.0f MB; %s; nobody else waited for longer than %.0f ms at a time, and %.0f while '
                .'it was taken back',
            $back, $backMb, $import->refresh()->status, $taken, $held,
        ));

        return self::SUCCESS;
    }

    /** The longest that the database was held in one piece, in milliseconds. */
    private function longest(float &$held): void
    {
        $began = 0;
        Event::listen(TransactionBeginning::class, static function () use (&$began): void {
            $began = DB::transactionLevel() === 1 ? hrtime(true) : $began;
        });
        Event::listen(TransactionCommitted::class, static function () use (&$began, &$held): void {
            if (DB::transactionLevel() === 0) {
                $held = max($held, (hrtime(true) - $began) / 1e6);
            }
        });
    }

    /** Gardens for them, and the table as a spreadsheet would write it. */
    private function written(int $plants): string
    {
        $kinds = array_keys(app(PlantBook::class)->names);
        $table = CsvText::line(['garden', 'kind', 'label', 'bed', 'planted', 'count', 'height_cm', 'notes']);
        for ($plant = 0; $plant < $plants; $plant++) {
            $garden = intdiv($plant, self::PER_GARDEN) + 1;
            if ($plant % self::PER_GARDEN === 0) {
                Garden::withoutEvents(static fn () => Garden::factory()->create(['name' => "Garden $garden"]));
            }
            $table .= CsvText::line([
                "Garden $garden", $kinds[$plant % count($kinds)], "Plant $plant", 'Bed '.$plant % 7,
                sprintf('20%02d-03-0%d', $plant % 20, $plant % 9 + 1), 1 + $plant % 3, 40 + $plant % 160,
                'From a list, "old"',
            ]);
        }

        return $table;
    }

    /** @return array{float, float} seconds, and MB above what was held before */
    private static function timed(callable $do): array
    {
        gc_collect_cycles();
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $start = hrtime(true);
        $do();

        return [(hrtime(true) - $start) / 1e9, (memory_get_peak_usage() - $before) / 1e6];
    }
}
