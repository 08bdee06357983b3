<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Amount\BalancedPruning;
use PruningHook\Core\Amount\Budget;
use PruningHook\Core\Amount\BudsWithLosses;
use PruningHook\Core\Amount\FloweringHeight;
use PruningHook\Core\Amount\Positions;
use PruningHook\Core\Amount\Renovation;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use Tests\Support\Prescribing;
use Tests\Support\TestBook;

/** The amount rules against worked examples of published guides; each names its own. */
final class PublishedAmountsTest extends TestCase
{
    use Prescribing;

    /** Buds by the weight of the prunings. */
    #[DataProvider('vines')]
    public function test_balanced_pruning(float $pounds, int $first, int $further, int $ceiling, int $buds): void
    {
        self::assertSame($buds, BalancedPruning::buds((int) round($pounds * 453.6), $first, $further, $ceiling));
    }

    /** @return array<string, array{float, int, int, int, int}> */
    public static function vines(): array
    {
        return [
            'Cornell, Concord 30 + 10: one pound (from memory)' => [1.0, 30, 10, 60, 30],
            'Cornell, Concord 30 + 10: three pounds leave fifty (from memory)' => [3.0, 30, 10, 60, 50],
            'Ohio State, Midwest Grape Production Guide, Concord 30 + 10: two pounds (from memory)' => [
                2.0, 30, 10, 60, 40,
            ],
            'Ohio State, Midwest Grape Production Guide, Niagara 25 + 10: two pounds (from memory)' => [
                2.0, 25, 10, 60, 35,
            ],
            'Ohio State, Midwest Grape Production Guide, Fredonia 40 + 10: three pounds (from memory)' => [
                3.0, 40, 10, 70, 60,
            ],
            'common practice, no source: under a pound the first count holds' => [0.4, 30, 10, 60, 30],
            'common practice, no source: the ceiling holds' => [9.0, 30, 10, 60, 60],
        ];
    }

    /**
     * Iowa State and Clemson Extension, renewal pruning over three years: a third, half of the rest, the rest (from
     * memory).
     */
    public function test_a_neglected_shrub_of_twelve_old_stems_over_three_years(): void
    {
        self::assertSame([4, 4, 4], Renovation::plan(12, 3));
        self::assertSame([3, 4, 3], Renovation::plan(10, 3));
        $take = $this->amount(
            $this->task(new Plant('l', 'lilac', stems: StemCount::of(12, 2), aim: 'renewal'), 'after-flowering'),
            'old stems to take out',
        );
        self::assertSame(4, $take->target);
    }

    /** RHS, Blackcurrants, renovating an old bush: up to two thirds at once, at the price of a crop (from memory). */
    public function test_an_old_blackcurrant_loses_two_thirds_once(): void
    {
        $task = $this->task(
            new Plant('c', 'blackcurrant', stems: StemCount::of(12, 3), aim: 'renewal'),
            'winter-renewal',
        );
        $out = $this->amount($task, 'old stems to take out');
        self::assertSame(
            [5, 10, 10], [$out->min, $out->target, $out->max], 'half of that at the least, or it is no renovation',
        );
        self::assertStringContainsString(
            "this year's crop is the price",
            $this->saysBecause($task, 'Two thirds at once'),
        );
    }

    /** ANSI A300 Part 1, pre-2017 text: at most 25 % of the crown in a year (from memory). */
    public function test_a_tree_with_a_fifth_gone_has_a_sixteenth_left(): void
    {
        [$cap] = TestBook::read()->caps->for(TestBook::read()->kind('lime'), 'thin');
        self::assertSame(25, $cap);
        $spent = Budget::of(
            $cap,
            'ANSI A300',
            [
                new \PruningHook\Core\Plant\LoggedWork(
                    'winter-structure', 2027, $this->day('2027-01-10'), \PruningHook\Core\Plant\Outcome::Done, 60, 20,
                ),
            ],
            2027,
        );
        // 5 of the 80 that still stand.
        self::assertSame(6, $spent->leftPercent());
    }

    /**
     * ANSI A300 and ISA best practice: live crown at least two thirds of the height (from memory): a 6 m tree is
     * cleared to 2 m.
     */
    public function test_a_six_metre_tree_is_cleared_to_two_metres(): void
    {
        $clear = $this->amount(
            $this->task(new Plant('t', 'lime', heightMm: 6000, aim: 'clear-stem'), 'winter-structure'),
            'clear stem',
        );
        self::assertSame(2000, $clear->max);
    }

    /** RHS, Wisteria: wires 30 cm apart, the first at about 45 cm (from memory): nine on a wall of 3 m. */
    public function test_wires_for_a_wisteria(): void
    {
        $task = $this->task(new Plant('w', 'wisteria', heightMm: 3000, form: 'wall'), 'winter-pass');
        self::assertSame(9, $this->amount($task, 'wires')->target);
        self::assertSame(300, $this->amount($task, 'wires apart')->target);
    }

    /** Common practice, no source: three live nodes wanted and a quarter of the buds dead: four are left. */
    public function test_nodes_for_a_winter_that_killed_buds(): void
    {
        foreach ([[3, 0, 3], [3, 25, 4], [3, 50, 6], [8, 20, 10], [3, 95, 15]] as [$wanted, $dead, $leave]) {
            self::assertSame($leave, BudsWithLosses::leave($wanted, $dead, 80), "$wanted wanted, $dead % dead");
        }
        self::assertSame(
            4,
            $this->amount(
                $this->task(new Plant('v', 'grape-vine', budMortalityPercent: 25), 'final-pass'),
                'nodes per spur',
            )->target,
        );
    }

    /** Common practice, no source: a bent cane of 2.4 m breaks every 15 cm, sixteen flowering laterals. */
    public function test_a_bent_rose_cane(): void
    {
        self::assertSame(
            16,
            $this->amount(
                $this->task(new Plant('r', 'climbing-rose', heightMm: 2400), 'prune-and-train'),
                'flowering laterals to a bent cane',
            )->target,
        );
        // Positions on a length at a spacing: floor(L / s) + 1.
        self::assertSame(
            [1, 7, 21],
            [Positions::along(100, 150), Positions::along(900, 150), Positions::along(3000, 150)],
        );
    }

    /** Common practice, no source: growth is drawn from the kind's figure towards what the plant itself has shown. */
    public function test_growth_is_learned_slowly(): void
    {
        self::assertSame(600, FloweringHeight::growth(600, []));
        self::assertSame(700, FloweringHeight::growth(600, [900]));
        self::assertSame(750, FloweringHeight::growth(600, [900, 900]));
        $learned = $this->task(
            new Plant('s', 'sweet-pepperbush', heightMm: 1600, floweringHeightMm: 1100, growthSeenMm: [750, 750]),
            'height-cut',
        );
        // (2 x 600 + 750 + 750) / 4 = 675, so 1100 - 675 = 425.
        self::assertSame(425, $this->amount($learned, 'cut height')->target);
        self::assertStringContainsString(
            'this plant grew 75 cm, 75 cm',
            $this->saysBecause($learned, 'Growth learned'),
        );
    }

    /**
     * Common practice, no source: a trimmer does 0.7 to 1.2 square metres of face a minute, and a trim leaves 10 to 20
     * litres a square metre.
     */
    public function test_a_hedge_takes_time_and_leaves_cuttings_by_its_face(): void
    {
        $hedge = static fn (int $height): Plant => new Plant(
            'h', 'privet', heightMm: $height, spreadMm: 600, runMm: 10000,
        );
        foreach ([1000 => 26.0, 2000 => 46.0] as $height => $face) {
            $task = $this->task($hedge($height), 'first-trim');
            self::assertGreaterThanOrEqual($face / 1.2, $task->minutes);
            self::assertLessThanOrEqual(2 * $face / 0.7, $task->minutes);
            self::assertGreaterThanOrEqual(10 * $face, $task->kit->debrisLitres);
            self::assertLessThanOrEqual(20 * $face, $task->kit->debrisLitres);
        }
    }

    /** Common practice, no source: few dead buds change nothing, half of them double the count. */
    public function test_one_dead_bud_in_a_hundred_is_not_one_more(): void
    {
        self::assertSame(
            [3, 3, 4, 6],
            array_map(static fn (int $dead): int => BudsWithLosses::leave(3, $dead, 80), [1, 10, 20, 50]),
        );
    }

    /**
     * RHS, Climbing roses: wires (from memory): the first about 45 cm from the ground, then every 30 to 45 cm; a bent
     * cane reaches to one side.
     */
    public function test_a_climbing_rose_on_its_wires(): void
    {
        $task = $this->task(
            new Plant('r', 'climbing-rose', heightMm: 2400, spreadMm: 3000, form: 'wall'),
            'prune-and-train',
        );
        self::assertSame(450, $this->amount($task, 'first wire')->target);
        $apart = $this->amount($task, 'wires apart')->target;
        self::assertTrue($apart >= 300 && $apart <= 450);
        self::assertSame(
            10, $this->amount($task, 'flowering laterals to a bent cane')->target,
            'half of 3 m, a lateral every 15 cm',
        );
    }
}
