<?php

declare(strict_types=1);

namespace Tests\Core\Amount;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\Budget;
use PruningHook\Core\Amount\Renovation;
use PruningHook\Core\Amount\YearsBudget;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use Tests\Support\Prescribing;
use Tests\Support\TestBook;

/** How much may go, what has gone, what is left, and what is planned to go. */
final class BudgetTest extends TestCase
{
    use Prescribing;

    public function test_nothing_logged_leaves_the_whole_cap(): void
    {
        $budget = Budget::of(33, 'x', [], 2027);
        self::assertSame([0, 33], [$budget->usedPercent, $budget->leftPercent()]);
        self::assertFalse($budget->isSpent());
        self::assertStringContainsString('nothing has yet', $budget->reason()->because);
    }

    public function test_two_cuts_are_each_of_what_stood_there(): void
    {
        // 20 % and then 10 % of the 80 left: 28 % in all; 5 of the 72 that stand may still go.
        $budget = Budget::of(33, 'x', [self::cut(2027, 20), self::cut(2027, 10)], 2027);
        self::assertSame(28, $budget->usedPercent);
        self::assertSame(6, $budget->leftPercent());
        self::assertSame('(33 - 28) / (100 - 28) %', $budget->working()->figures);
    }

    public function test_another_seasons_cut_and_an_unsaid_one_do_not_count(): void
    {
        self::assertSame(0, Budget::of(33, 'x', [self::cut(2026, 30), self::cut(2027, null)], 2027)->usedPercent);
    }

    public function test_a_spent_budget_leaves_nothing(): void
    {
        $budget = Budget::of(25, 'x', [self::cut(2027, 40)], 2027);
        self::assertTrue($budget->isSpent());
        self::assertSame(0, $budget->leftPercent());
    }

    public function test_the_years_stand_in_a_row_with_what_is_planned(): void
    {
        $plant = new Plant('l', 'lilac', stems: StemCount::of(9, 3), aim: 'renewal', history: [self::cut(2026, 15)]);
        $years = YearsBudget::of($plant, 2027, TestBook::keeping(), 33, 'x');
        self::assertSame([2024, 2025, 2026, 2027, 2028, 2029], array_column($years, 'season'));
        self::assertSame([null, null, 15, null, null, null], array_column($years, 'used'));
        self::assertSame([null, null, null, 3, 3, 3], array_column($years, 'planned'));
        self::assertSame(
            [null, null, null, null, null, null],
            array_column(
                YearsBudget::of(
                    new Plant('l', 'lilac', stems: StemCount::of(9, 3)), 2027, TestBook::keeping(), 33, 'x',
                ),
                'planned',
            ),
            'nothing is planned where nobody renews',
        );
    }

    public function test_the_record_tells_which_year_of_a_renovation_it_is(): void
    {
        $year = static fn (int ...$seasons): int => Renovation::year(
            new Plant(
                'l',
                'lilac',
                history: array_values(
                    array_map(
                        static fn (int $season): LoggedWork => new LoggedWork(
                            'after-flowering', $season, Day::of($season, 6, 1), Outcome::Done, 40, 30,
                            recipe: 'renovate',
                        ),
                        $seasons,
                    ),
                ),
            ),
            2027,
            'renovate',
        );
        self::assertSame([1, 2, 3, 4], [$year(), $year(2026), $year(2025, 2026), $year(2024, 2025, 2026)]);
        self::assertSame([1, 2], [$year(2018, 2019), $year(2024, 2026)], 'only the seasons just before count');
        $second = new Plant(
            'l', 'lilac', stems: StemCount::of(8, 4), aim: 'renewal',
            history: [
                new LoggedWork('after-flowering', 2026, Day::of(2026, 6, 1), Outcome::Done, 40, 30, recipe: 'renovate'),
            ],
        );
        self::assertSame(
            4, $this->amount($this->task($second, 'after-flowering'), 'old stems to take out')->target,
            'half of what is left',
        );
        self::assertStringContainsString(
            'year 2 of 3',
            $this->saysBecause($this->task($second, 'after-flowering'), 'Renewal over three years'),
        );
    }

    public function test_stems_thinned_by_thirds_long_ago_are_no_renovation(): void
    {
        $thinned = static fn (int $season): LoggedWork => new LoggedWork(
            'after-flowering', $season, Day::of($season, 6, 1), Outcome::Done, 40, 30, recipe: 'renew-by-thirds',
        );
        $lilac = new Plant(
            'l', 'lilac', stems: StemCount::of(9, 0), aim: 'renewal',
            history: [$thinned(2018), $thinned(2019), $thinned(2026)],
        );
        $task = $this->task($lilac, 'after-flowering');
        self::assertStringContainsString('year 1 of 3: 3 of 9', $this->saysBecause($task, 'Renewal over three years'));
    }

    public function test_no_year_of_a_renovation_goes_over_the_cap(): void
    {
        $done = static fn (int $season): LoggedWork => new LoggedWork(
            'after-flowering', $season, Day::of($season, 6, 1), Outcome::Done, 40, 30, recipe: 'renovate',
        );
        $last = new Plant(
            'l', 'lilac', stems: StemCount::of(9, 0), aim: 'renewal', history: [$done(2025), $done(2026)],
        );
        $task = $this->task($last, 'after-flowering');
        self::assertSame(
            3, $this->amount($task, 'old stems to take out')->target, 'a third of what stands, though nine are left',
        );
        self::assertStringContainsString(
            'the other 6 next year: no more than 33 % goes in a season',
            $this->saysBecause($task, 'Renewal over three years'),
        );
        $over = new Plant(
            'l', 'lilac', stems: StemCount::of(6, 6), aim: 'renewal',
            history: [$done(2024), $done(2025), $done(2026)],
        );
        self::assertStringContainsString(
            'a third of the old is 2', $this->saysBecause($this->task($over, 'after-flowering'), 'Renewal by thirds'),
            'after the last year it is kept up by thirds',
        );
    }

    public function test_what_has_gone_this_season_lowers_what_is_asked_now(): void
    {
        $spent = static fn (int $percent): LoggedWork => new LoggedWork(
            'winter-structure', 2027, Day::of(2027, 1, 10), Outcome::Partly, 40, $percent,
        );
        $lime = static fn (LoggedWork ...$history): Plant => new Plant(
            'l', 'lime', heightMm: 4000, history: array_values($history),
        );
        self::assertSame(
            [0, 10, 25],
            self::three($this->amount($this->task($lime(), 'winter-structure'), 'live crown taken')),
        );
        // 25 % may go and 20 % has: 6 % of what stands.
        $task = $this->task($lime($spent(20)), 'winter-structure');
        self::assertSame([0, 6, 6], self::three($this->amount($task, 'live crown taken')));
        self::assertStringContainsString('up to 6 %', implode(' ', $task->steps));
        self::assertSame(
            [0, 0, 0],
            self::three($this->amount($this->task($lime($spent(25)), 'winter-structure'), 'live crown taken')),
        );
        $currant = new Plant(
            'b', 'blackcurrant', stems: StemCount::of(6, 6),
            history: [new LoggedWork('winter-renewal', 2027, Day::of(2027, 1, 10), Outcome::Partly, 40, 33)],
        );
        self::assertSame(0, $this->amount($this->task($currant, 'winter-renewal'), 'old stems to take out')->target);
    }

    /** @return array{int, int, int} */
    private static function three(Amount $amount): array
    {
        return [$amount->min, $amount->target, $amount->max];
    }

    public function test_a_renovation_ends_with_no_old_stem_left(): void
    {
        foreach (range(0, 30) as $old) {
            self::assertSame($old, array_sum(Renovation::plan($old, 3)));
            foreach (Renovation::plan($old, 3) as $out) {
                self::assertGreaterThanOrEqual(0, $out);
            }
        }
    }

    private static function cut(int $season, ?int $percent): LoggedWork
    {
        return new LoggedWork('after-flowering', $season, Day::of($season, 6, 1), Outcome::Done, 30, $percent);
    }

    public function test_a_budget_is_spent_once_all_of_it_has_gone(): void
    {
        $spent = static fn (int $percent): bool => Budget::of(33, 'x', [
            new LoggedWork('a', 2027, Day::parse('2027-06-01'), Outcome::Done, null, $percent),
        ], 2027)->isSpent();
        self::assertSame([false, true, true], [$spent(32), $spent(33), $spent(34)]);
    }
}
