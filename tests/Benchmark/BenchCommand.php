<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use App\Console\Commands\SpeaksJson;
use App\Knowledge\PlantBookFiles;
use Closure;
use Illuminate\Console\Command;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\GivenSite;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\SeasonSeen;
use PruningHook\Core\Calendar\Shift;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Stations;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Planning\Season\Audit;
use PruningHook\Core\Planning\Season\Brief;
use PruningHook\Core\Planning\Season\Crew;
use PruningHook\Core\Planning\Season\Planner;
use PruningHook\Core\Planning\Season\Visit;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Schools\ChosenSchools;
use PruningHook\Core\Structure\Judgement;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemAims;
use PruningHook\Core\Structure\StemCut;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\StemJudge;
use PruningHook\Core\Structure\Survey;

/** `./hook bench`: how many plants the core gets through in one process, and where the time goes. */
final class BenchCommand extends Command
{
    use SpeaksJson;

    protected $signature = 'bench {what=windows : windows, judge, plan or grow} {--seconds=10 : what a plan may look}';

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
            'plan' => $this->plan($book, (float) $this->option('seconds')),
            'grow' => $this->told((new GrowBench($book, $files->readHabits()))->run()),
            default => $this->refused(['bench: "windows", "judge", "plan" and "grow" can be measured']),
        };
    }

    /** @param  list<string>  $lines */
    private function told(array $lines): int
    {
        foreach ($lines as $line) {
            $this->line($line);
        }

        return self::SUCCESS;
    }

    /**
     * A true year of 10,000 plants: planted on days of their own, two seasons logged, springs that came early or late.
     * First the prescriptions, then with all the crew is told besides, then windows alone, for the seasons of a wall.
     */
    private function windows(PlantBook $book): int
    {
        $kinds = array_values($book->all());
        $plants = [];
        for ($index = 0; $index < self::PLANTS; $index++) {
            $plants[] = self::plant($kinds[$index % count($kinds)], $index);
        }
        $prescriber = Prescriber::with($book);
        $practice = ChosenSchools::of($book->questions);
        foreach (
            [
                'prescribed' => [2027],
                'prescribed and told in full' => [2027],
                'windows alone, as a wall asks for them' => [2026, 2027, 2028],
            ] as $what => $seasons
        ) {
            // Nothing of a year is known before it is asked for.
            $years = array_map(
                static fn (int $garden): SiteYears => self::years($garden, $book->stations),
                range(0, self::GARDENS - 1),
            );
            $prescribe = static fn (Plant $plant, SiteYear $year): array => $prescriber->prescribe(
                $plant, $year, $practice,
            )->tasks;
            $ask = match ($what) {
                'prescribed' => $prescribe,
                'prescribed and told in full' => static fn (Plant $plant, SiteYear $year): array => array_map(
                    static fn (Task $task): array => [$task->steps, $task->reasons], $prescribe($plant, $year),
                ),
                default => static fn (Plant $plant, SiteYear $year): array => $prescriber->windows(
                    $plant, $year, $practice,
                ),
            };
            gc_collect_cycles();
            memory_reset_peak_usage();
            $tasks = 0;
            $whole = self::seconds(function () use ($plants, $years, $ask, $seasons, &$tasks): void {
                foreach ($plants as $index => $plant) {
                    foreach ($seasons as $season) {
                        $tasks += count($ask($plant, $years[$index % self::GARDENS]->season($season)));
                    }
                }
            });
            $this->line(
                sprintf(
                    '%d plants, %d %s, %d tasks %s: %.2f s, %d plants a second, peak %.0f MB', self::PLANTS,
                    count($seasons), count($seasons) === 1 ? 'season' : 'seasons', $tasks, $what, $whole,
                    self::PLANTS / $whole, memory_get_peak_usage() / 1e6,
                ),
            );
        }

        return self::SUCCESS;
    }

    /** A garden's years, this spring and the last as its signs tell them. */
    private static function years(int $garden, Stations $stations): SiteYears
    {
        $seen = static fn (int $late): SeasonSeen => SeasonSeen::of(
            Shift::of($late, ['forsythia bloom on 12 March, as seen', 'plum bloom on 20 March, as seen']),
            Shift::of(-$late, ['birch leaf fall, as seen', 'lilac leaf fall, as seen']),
        );

        return SiteYears::of(
            $stations->site(new GivenSite(
                50 + $garden / 100, -2, $garden, MonthDay::parse(sprintf('04-%02d', 1 + $garden % 30)),
                MonthDay::parse(sprintf('10-%02d', 1 + $garden % 30)), WinterClass::Cool,
            )),
            [2026 => $seen($garden % 15 - 7), 2027 => $seen($garden % 11 - 5)],
        );
    }

    private static function plant(Kind $kind, int $index): Plant
    {
        $history = [];
        foreach (array_slice(array_keys($kind->tasks), 0, 2) as $number => $task) {
            foreach ([2025, 2026] as $season) {
                $history[] = new LoggedWork(
                    $task, $season, Day::of($season, 3 + 4 * $number, 1 + $index % 28),
                    $index % 13 === 0 ? Outcome::Partly : Outcome::Done, 10 + $index % 50, 10 + $index % 20,
                );
            }
        }

        return new Plant(
            "p$index", $kind->id, planted: Day::of(2003 + $index % 24, 1 + $index % 4, 1 + $index % 28),
            heightMm: 800 + $index % 3000, count: 1 + $index % 5, history: $history,
        );
    }

    /** 1,000 random plants of 30 stems: none may come out over its cap. */
    private function judge(PlantBook $book): int
    {
        mt_srand(20270220);
        $kinds = array_values($book->all());
        $aims = StemAims::with($book);
        $practice = ChosenSchools::of($book->questions);
        $cases = [];
        for ($index = 0; $index < self::JUDGED; $index++) {
            $kind = $kinds[$index % count($kinds)];
            $cases[] = [
                StemJudge::with($aims->clearance($kind)),
                Survey::of(self::stems()),
                $aims->for(
                    $kind, $practice, null, mt_rand(0, 1) === 1, null, mt_rand(0, 3) === 0 ? mt_rand(0, 100) : null,
                ),
            ];
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
            // What has turned back to green goes whatever the budget.
            $reverted = array_sum(
                array_map(
                    static fn (StemCut $cut): float => $cut->stem->has(StemFault::Reverted) ? $cut->sharePercent : 0.0,
                    $judged->cuts,
                ),
            );
            $over +=
                $aim->plan->isWeighed() && $judged->sharePercent - $reverted > $aim->budgetPercent + StemAim::A_HAIR
                    ? 1
                    : 0;
            $cuts += count($judged->cuts);
        }
        $this->line(
            sprintf(
                '%d plants of %d stems, %d cuts: %.2f ms each, the slowest %.2f ms, %d over 5 ms; over the cap: %d',
                self::JUDGED, self::STEMS, $cuts, 1000 * $whole / self::JUDGED, 1000 * $slowest, $slow, $over,
            ),
        );

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
            $stems[] = new Stem(
                "s$index", mt_rand(0, 359), mt_rand(0, 60), mt_rand(10, 60) * $base, $base,
                mt_rand(0, 5) === 0 ? null : mt_rand(1, 12), $faults,
            );
        }

        return $stems;
    }

    /** A firm's year in one plan: as it grows from 50 to 300 gardens, and what more time is worth. */
    private function plan(PlantBook $book, float $seconds): int
    {
        foreach ([50, 100, 200, 300] as $gardens) {
            $this->planned(SeasonBench::brief($book, $gardens), $seconds * $gardens / 300);
        }
        $this->lost(SeasonBench::brief($book, 100), $seconds / 3);
        $this->line('what more time is worth, 300 gardens:');
        $brief = SeasonBench::brief($book, 300);
        foreach ([0.0, $seconds / 5, $seconds / 2, $seconds, 2 * $seconds] as $each) {
            $this->planned($brief, $each);
        }

        return self::SUCCESS;
    }

    /** The fullest day of one crew is lost: how much of the two weeks round it moves when the rest is to stay. */
    private function lost(Brief $brief, float $seconds): void
    {
        $plan = Planner::plan($brief, 1, self::within($seconds));
        $full = array_count_values(array_map(
            static fn (Visit $visit): string => "$visit->crew $visit->on", $plan->visits,
        ));
        arsort($full);
        [$crew, $day] = explode(' ', (string) array_key_first($full));
        $on = Day::parse($day);
        $again = Planner::plan(
            new Brief(
                $brief->horizon,
                $brief->depot,
                array_map(
                    static fn (Crew $each): Crew => $each->ref !== $crew
                        ? $each
                        : new Crew(
                            $each->ref, $each->people, $each->skills, $each->overtime, $each->week, [$on],
                            $each->daylight,
                        ),
                    $brief->crews,
                ),
                $brief->gardens,
                $brief->tasks,
                [],
                $brief->usualTravel,
                $plan->visits,
                90,
            ),
            1,
            self::within($seconds),
        );
        $told = static fn (Visit $visit): string => "$visit->garden $visit->crew $visit->on ".
            implode(',', self::sorted($visit));
        $near = array_filter(
            $plan->visits, static fn (Visit $visit): bool => abs($on->daysUntil($visit->on)) <= 7,
        );
        $moved = array_diff(array_map($told, $near), array_map($told, $again->visits));
        $elsewhere =
            count(array_diff(array_map($told, $plan->visits), array_map($told, $again->visits))) -
            count($moved);
        $this->line(
            sprintf(
                'a crew day with %d visits is lost, the rest is to stay: %d of the %d visits of those two weeks move, '.
                    'and %d '.
                    'of the other %d of the year; %d tasks left out',
                array_values($full)[0],
                count($moved),
                count($near),
                $elsewhere,
                count($plan->visits) - count($near),
                count($again->leftOut),
            ),
        );
    }

    /** @return list<string> */
    private static function sorted(Visit $visit): array
    {
        $tasks = $visit->tasks;
        sort($tasks);

        return $tasks;
    }

    /** @return Closure(int): float */
    private static function within(float $seconds): Closure
    {
        $since = null;

        return static function (int $try) use (&$since, $seconds): float {
            $since ??= hrtime(true);

            return $seconds > 0 ? (hrtime(true) - $since) / 1e9 / $seconds : 1.0;
        };
    }

    private function planned(Brief $brief, float $seconds): void
    {
        gc_collect_cycles();
        memory_reset_peak_usage();
        $began = hrtime(true);
        $plan = Planner::plan($brief, 1, self::within($seconds));
        $this->line(sprintf(
            '%d gardens, %d tasks, %d crews, %.1f s to improve: %.1f s in all, peak %.0f MB; %d visits, cost %d, '
                .'bound %d, gap %.1f %%, %d tasks left out, %d rules broken',
            count($brief->gardens), count($brief->tasks), count($brief->crews), $seconds,
            (hrtime(true) - $began) / 1e9, memory_get_peak_usage() / 1e6, count($plan->visits),
            round($plan->cost->total()), round($plan->lowerBound), 100 * $plan->gap(), count($plan->leftOut),
            count(Audit::of($brief, $plan->visits)->breaks),
        ));
    }

    private static function seconds(callable $work): float
    {
        $start = hrtime(true);
        $work();

        return (hrtime(true) - $start) / 1e9;
    }
}
