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
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Practice\Practice;
use PruningHook\Core\Prescription\Plant;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Structure\Judgement;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemAims;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\StemJudge;
use PruningHook\Core\Structure\Survey;

/** `./hook bench`: how many plants the core gets through in one process, and where the time goes. */
final class BenchCommand extends Command
{
    use SpeaksJson;

    protected $signature = 'bench {what=windows : windows or judge}';

    protected $description = 'Measure the core: plants a second, peak memory, and where the time goes';

    private const PLANTS = 10_000;

    private const GARDENS = 250;

    private const JUDGED = 1_000;

    private const STEMS = 30;

    /** Seconds a plant's stems should take at most. */
    private const JUDGED_WITHIN = 0.005;

    public function handle(PlantBookFiles $files): int
    {
        // The book as it ships: what is printed must not depend on one firm's database.
        $book = $files->read();

        return match ($this->argument('what')) {
            'windows' => $this->windows($book),
            'judge' => $this->judge($book),
            default => $this->refused(['bench: "windows" and "judge" can be measured']),
        };
    }

    /** 10,000 plants' season from facts to prescriptions with reasons. */
    private function windows(PlantBook $book): int
    {
        $years = [];
        for ($garden = 0; $garden < self::GARDENS; $garden++) {
            $years[] = SiteYear::of(Site::of(50 + $garden / 100, -2, $garden, MonthDay::parse(sprintf('04-%02d', 1 + $garden % 30)),
                MonthDay::parse(sprintf('10-%02d', 1 + $garden % 30)), WinterClass::Cool), 2027);
        }
        $kinds = array_values($book->all());
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

    /** 1,000 random plants of 30 stems: none may come out over its cap. */
    private function judge(PlantBook $book): int
    {
        mt_srand(20270220);
        $kinds = array_values($book->all());
        $aims = StemAims::with($book);
        $practice = Practice::of($book->questions);
        $cases = [];
        for ($index = 0; $index < self::JUDGED; $index++) {
            $kind = $kinds[$index % count($kinds)];
            $cases[] = [StemJudge::with($aims->clearance($kind)), Survey::of(self::stems()), $aims->for($kind, $practice, null, mt_rand(0, 1) === 1, null, mt_rand(0, 3) === 0 ? mt_rand(0, 100) : null)];
        }
        $over = 0;
        $slowest = 0.0;
        $cuts = 0;
        $slow = 0;
        $whole = 0.0;
        foreach ($cases as [$judge, $survey, $aim]) {
            [$judged, $took] = self::judged($judge, $survey, $aim);
            $slow += $took > self::JUDGED_WITHIN ? 1 : 0;
            $whole += $took;
            $slowest = max($slowest, $took);
            $over += $judged->sharePercent > $aim->budgetPercent + 1e-6 ? 1 : 0;
            $cuts += count($judged->cuts);
        }
        $this->line(sprintf('%d plants of %d stems, %d cuts: %.2f ms each, the slowest %.2f ms, %d over 5 ms; over the cap: %d', self::JUDGED, self::STEMS, $cuts, 1000 * $whole / self::JUDGED, 1000 * $slowest, $slow, $over));

        return $over === 0 ? self::SUCCESS : self::FAILURE;
    }

    /**
     * The least time of seven: what else the machine was doing is not the judge's.
     *
     * @return array{Judgement, float}
     */
    private static function judged(StemJudge $judge, Survey $survey, StemAim $aim): array
    {
        $judged = $judge->judge($survey, $aim);
        $took = INF;
        for ($time = 0; $time < 7; $time++) {
            $took = min($took, self::seconds(static fn (): Judgement => $judge->judge($survey, $aim)));
        }

        return [$judged, $took];
    }

    /** @return list<Stem> */
    private static function stems(): array
    {
        $stems = [];
        for ($index = 0; $index < self::STEMS; $index++) {
            $base = mt_rand(5, 40);
            $faults = mt_rand(0, 4) === 0 ? [StemFault::cases()[mt_rand(0, count(StemFault::cases()) - 1)]] : [];
            $stems[] = Stem::of("s$index", mt_rand(0, 359), mt_rand(0, 60), mt_rand(10, 60) * $base, $base, mt_rand(0, 5) === 0 ? null : mt_rand(1, 12), $faults);
        }

        return $stems;
    }

    private static function seconds(callable $work): float
    {
        $start = hrtime(true);
        $work();

        return (hrtime(true) - $start) / 1e9;
    }
}
