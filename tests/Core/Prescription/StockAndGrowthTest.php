<?php

declare(strict_types=1);

namespace Tests\Core\Prescription;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\State;
use PruningHook\Core\Prescription\Task;
use Tests\Support\Prescribing;

/** What stock, growth and season make of the same kind's work. */
final class StockAndGrowthTest extends TestCase
{
    use Prescribing;

    /** RHS, Apples and pears: pruning (from memory): a strong stock answers a hard winter cut with long shoots. */
    public function test_a_vigorous_stock_is_cut_less_in_winter_and_a_dwarfing_one_renewed(): void
    {
        $task = fn (?string $stock): Task => $this->task(
            new Plant('p', 'apple', heightMm: 3000, state: new State(rootstock: $stock)), 'winter-structure',
        );
        $crown = fn (?string $stock): array => [
            $this->amount($task($stock), 'live crown taken')->target,
            $this->amount($task($stock), 'live crown taken')->max,
        ];
        self::assertSame([[15, 20], [15, 20], [10, 15]], [$crown(null), $crown('dwarfing'), $crown('vigorous')]);
        self::assertStringContainsString('shorten tired spurs', implode(' ', $task('dwarfing')->steps));
        self::assertStringContainsString('comes off in late summer', implode(' ', $task('vigorous')->steps));
    }

    /** Oregon State University Extension, Growing blackberries (from memory): erect ones are tipped at 3 to 4 feet. */
    public function test_erect_blackberries_are_tipped_in_summer_and_trailing_ones_wound_along_their_wires(): void
    {
        $of = static fn (?string $growth): Plant => new Plant('p', 'blackberry', state: new State(growth: $growth));
        $tip = $this->amount($this->task($of('erect'), 'tip'), 'height of the tipped cane');
        self::assertSame([900, 1200], [$tip->min, $tip->max]);
        self::assertNull($this->prescribe($of('trailing'))->task('tip'));
        self::assertNull($this->prescribe($of(null))->task('tip'));
        $laterals = fn (?string $growth): string => implode(' ', $this->task($of($growth), 'laterals')->steps);
        self::assertStringContainsString('leave its laterals whole', $laterals('trailing'));
        self::assertStringContainsString('Shorten the laterals to', $laterals('erect'));
        self::assertStringContainsString('Shorten the laterals to', $laterals(null));
    }

    /** Common practice, no source: a row is fed when it begins to grow and not in autumn. */
    public function test_what_a_plant_is_given_belongs_to_the_task(): void
    {
        $after = fn (string $task): string => implode(
            ' ',
            $this->task(new Plant('p', 'blackberry'), $task)->kit->aftercare,
        );
        self::assertStringContainsString('Mulch', $after('laterals'));
        self::assertStringContainsString('not now', $after('fruited-canes'));
    }

    /** RHS, Hedges: trimming (from memory): hawthorn is also cut while bare, and never while birds nest. */
    public function test_a_hawthorn_hedge_may_be_trimmed_through_winter_but_not_into_spring(): void
    {
        $window = $this->task(new Plant('h', 'hawthorn-hedge'), 'summer-trim')->window;
        self::assertTrue($window->contains($this->day('2028-01-10')));
        self::assertFalse($window->contains($this->day('2028-02-01')));
        self::assertFalse($window->contains($this->day('2027-07-01')));
    }
}
