<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\PlantBook\PlantBookFiles;
use Illuminate\Console\Command;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Practice\Practice;
use PruningHook\Core\Prescription\Plant;
use PruningHook\Core\Prescription\Prescriber;

/** `./hook bench windows`: 10,000 plants' season from facts to prescriptions with reasons, in one process. */
final class BenchCommand extends Command
{
    use TellsFaults;

    protected $signature = 'bench {what=windows : windows}';

    protected $description = 'Measure the core: plants a second, peak memory, and where the time goes';

    private const PLANTS = 10_000;

    private const GARDENS = 250;

    public function handle(PlantBookFiles $files): int
    {
        // The book as it ships: what is printed must not depend on one firm's database.
        $book = $files->read();
        if ($this->argument('what') !== 'windows') {
            return $this->refused(['bench: only "windows" can be measured']);
        }
        $years = [];
        for ($garden = 0; $garden < self::GARDENS; $garden++) {
            $years[] = SiteYear::of(Site::of(50 + $garden / 100, -2, $garden, MonthDay::parse(sprintf('04-%02d', 1 + $garden % 30)),
                MonthDay::parse(sprintf('10-%02d', 1 + $garden % 30)), WinterClass::Cool), 2027);
        }
        $kinds = array_values($book->kinds);
        $plants = [];
        for ($index = 0; $index < self::PLANTS; $index++) {
            $plants[] = Plant::of("p$index", $kinds[$index % count($kinds)]->id, heightMm: 800 + $index % 3000, count: 1 + $index % 5);
        }
        $prescriber = Prescriber::with($book);
        $practice = Practice::of($book->questions);
        memory_reset_peak_usage();
        $tasks = 0;
        $whole = self::seconds(function () use ($plants, $years, $prescriber, $practice, &$tasks): void {
            foreach ($plants as $index => $plant) {
                $tasks += count($prescriber->prescribe($plant, $years[$index % self::GARDENS], $practice)->tasks);
            }
        });
        $phenology = self::seconds(static function () use ($plants, $years, $book): void {
            foreach ($plants as $index => $plant) {
                KindYear::of($years[$index % self::GARDENS], $book->kind($plant->kind)->phenology);
            }
        });
        $this->line(sprintf('%d plants, %d tasks: %.2f s, %d plants a second, peak %.0f MB', self::PLANTS, $tasks, $whole, self::PLANTS / $whole, memory_get_peak_usage() / 1e6));
        $this->line(sprintf('of that, days of the kinds\' years: %d %%; windows, amounts, steps and reasons: %d %%', 100 * $phenology / $whole, 100 - 100 * $phenology / $whole));

        return self::SUCCESS;
    }

    private static function seconds(callable $work): float
    {
        $start = hrtime(true);
        $work();

        return (hrtime(true) - $start) / 1e9;
    }
}
