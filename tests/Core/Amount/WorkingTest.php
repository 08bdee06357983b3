<?php

declare(strict_types=1);

namespace Tests\Core\Amount;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\AmountCase;
use PruningHook\Core\Amount\AmountRules;
use PruningHook\Core\Amount\Amounts;
use PruningHook\Core\Amount\BalancedPruning;
use PruningHook\Core\Amount\Budget;
use PruningHook\Core\Amount\BudsWithLosses;
use PruningHook\Core\Amount\ReduceHeight;
use PruningHook\Core\Amount\TargetSize;
use PruningHook\Core\Amount\YearsBudget;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\State;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\PlantBook\AmountSpec;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\Reason;
use PruningHook\Core\Working;
use Tests\Support\TestBook;

/**
 * Each rule worked through by hand for one plant: the amounts it gives, and the arithmetic it shows for them. The
 * figures are made up for the sum's sake; the sums are common practice, no source.
 */
final class WorkingTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $rule
     * @param  list<array{string, int, int, int}>  $amounts  what, least, target, most
     * @param  list<string>  $workings  the figures, and what they give
     */
    #[DataProvider('sums')]
    public function test_the_sum_is_shown(array $rule, Plant $plant, array $amounts, array $workings): void
    {
        $given = self::worked($rule, $plant);
        self::assertSame($amounts, array_map(
            static fn (Amount $amount): array => [$amount->what, $amount->min, $amount->target, $amount->max],
            $given->amounts,
        ));
        self::assertSame($workings, array_map(
            static fn (Working $working): string => "$working->figures = $working->result", $given->workings,
        ));
    }

    /** @return array<string, array{array<string, mixed>, Plant, list<array{string, int, int, int}>, list<string>}> */
    public static function sums(): array
    {
        $vine = static fn (?int $grams = null, ?int $dead = null): Plant => new Plant(
            'v', 'grape-vine', pruningsG: $grams, budMortalityPercent: $dead,
        );
        $shrub = static fn (int $old, int $young): Plant => new Plant(
            'f', 'forsythia', stems: StemCount::of($old, $young),
        );
        $wires = ['rule' => 'wires', 'first_mm' => 450, 'spacing_mm' => 300];
        $keep = ['rule' => 'stems-to-keep', 'unit' => 'trunks', 'min' => 3, 'target' => 4, 'max' => 5];
        $canes = [
            'rule' => 'stems-to-keep',
            'unit' => 'canes',
            'min' => 6,
            'target' => 8,
            'max' => 10,
            'old_go' => true,
        ];
        $balanced = ['rule' => 'balanced', 'first' => 20, 'further' => 10, 'floor' => 15, 'ceiling' => 60];
        $nodes = ['rule' => 'buds-with-losses', 'what' => 'nodes per spur', 'wanted' => 3, 'most_dead' => 80];

        return [
            'a first wire below the top, and as many more as there is room for' => [
                $wires, new Plant('w', 'wisteria', heightMm: 1650),
                [['first wire', 450, 450, 450], ['wires apart', 300, 300, 300], ['wires', 5, 5, 5]],
                ['floor((1650 - 450) / 300) + 1 mm = 5'],
            ],
            'a plant as high as the first wire has one' => [
                $wires, new Plant('w', 'wisteria', heightMm: 450),
                [['first wire', 450, 450, 450], ['wires apart', 300, 300, 300], ['wires', 1, 1, 1]],
                ['floor((450 - 450) / 300) + 1 mm = 1'],
            ],
            'one still below the first wire has that one' => [
                $wires, new Plant('w', 'wisteria', heightMm: 300),
                [['first wire', 450, 450, 450], ['wires apart', 300, 300, 300], ['wires', 1, 1, 1]],
                ['300 mm is below the first wire at 450 mm: that one = 1'],
            ],
            'wires with nothing said of the first stand one spacing up' => [
                ['rule' => 'wires', 'spacing_mm' => 300], new Plant('w', 'wisteria', heightMm: 900),
                [['first wire', 300, 300, 300], ['wires apart', 300, 300, 300], ['wires', 3, 3, 3]],
                ['floor((900 - 300) / 300) + 1 mm = 3'],
            ],
            'places along an arm, a fifth of them free to stay empty' => [
                ['rule' => 'positions', 'what' => 'laterals on the arms', 'spacing_mm' => 150],
                new Plant('k', 'wisteria', spreadMm: 2500),
                [['spacing of the laterals', 150, 150, 150], ['laterals on the arms', 13, 17, 17]],
                ['floor(2500 / 150) + 1 = 17'],
            ],
            'laterals of a cane bent to one side: half the spread' => [
                ['rule' => 'bent-cane', 'spacing_mm' => 150], new Plant('r', 'climbing-rose', spreadMm: 3900),
                [['flowering laterals to a bent cane', 6, 13, 13]],
                ['1950 / 150 mm = 13'],
            ],
            'of a cane nobody has measured across: as long as it is tall' => [
                ['rule' => 'bent-cane', 'spacing_mm' => 150], new Plant('r', 'climbing-rose', heightMm: 2400),
                [['flowering laterals to a bent cane', 8, 16, 16]],
                ['2400 / 150 mm = 16'],
            ],
            'a third of nine' => [
                ['rule' => 'thirds'], $shrub(9, 4),
                [['old stems to take out', 3, 3, 4], ['young stems to leave', 4, 4, 4]],
                ['9 / 3, at most 4 of 13 = 3'],
            ],
            'no young ones, none to leave' => [
                ['rule' => 'thirds'], $shrub(6, 0), [['old stems to take out', 2, 2, 2]],
                ['6 / 3, at most 2 of 6 = 2'],
            ],
            'one young one is left' => [
                ['rule' => 'thirds'], $shrub(6, 1),
                [['old stems to take out', 2, 2, 2], ['young stems to leave', 1, 1, 1]],
                ['6 / 3, at most 2 of 7 = 2'],
            ],
            'the first of three years' => [
                ['rule' => 'renovation'], $shrub(7, 1),
                [['old stems to take out', 2, 2, 2], ['young stems to leave', 1, 1, 1]],
                ['7 / 3, at most 2 of 8 = 2 now, then 3 and 2 in the coming years'],
            ],
            'trunks above the number, as far as they may go' => [
                $keep, new Plant('c', 'crape-myrtle', stems: StemCount::of(9, 0)),
                [['trunks to keep', 3, 4, 5], ['trunks to take out', 3, 3, 3]],
                ['9 - 4, at most 3 = 3'],
            ],
            'no more trunks than are wanted' => [
                $keep, new Plant('c', 'crape-myrtle', stems: StemCount::of(4, 1)),
                [['trunks to keep', 3, 4, 5], ['trunks to take out', 0, 1, 1]],
                ['5 - 4, at most 1 = 1'],
            ],
            'canes that fruited, and the new ones above the number' => [
                $canes, new Plant('r', 'raspberry-summer', stems: StemCount::of(7, 11)),
                [['canes to keep', 6, 8, 10], ['canes to take out', 8, 10, 12]],
                ['7 + (11 - 8) = 10'],
            ],
            'a fifth off, with a twentieth of play' => [
                ['rule' => 'reduce-height', 'percent' => 20], new Plant('b', 'bluebeard', heightMm: 2000),
                [[ReduceHeight::AFTER, 1500, 1600, 1700]],
                ['2000 x (100 - 20) / 100 mm = 1.6 m'],
            ],
            'legs to a third' => [
                ['rule' => 'clear-stem', 'min_mm' => 1500, 'max_mm' => 2500], new Plant('l', 'lime', heightMm: 6000),
                [['clear stem', 1500, 1750, 2000]],
                ['6000 / 3 mm = 2 m at most'],
            ],
            'a vine with two pounds of prunings' => [
                $balanced, $vine(907), [[BalancedPruning::BUDS, 30, 30, 30]], ['2.0 lb: 20 + 1.0 x 10 = 30 buds'],
            ],
            'one with less than a pound' => [
                $balanced, $vine(200), [[BalancedPruning::BUDS, 20, 20, 20]], ['0.4 lb: 20 + 0.0 x 10 = 20 buds'],
            ],
            'one that is past its ceiling' => [
                $balanced, $vine(4536), [[BalancedPruning::BUDS, 60, 60, 60]], ['10.0 lb: 20 + 9.0 x 10 = 60 buds'],
            ],
            'a quarter of the buds dead' => [
                $nodes, $vine(null, 25), [['nodes per spur', 4, 4, 4]], ['3 / (1 - 0.25) = 4 nodes'],
            ],
            'none dead' => [$nodes, $vine(null, 0), [['nodes per spur', 3, 3, 3]], []],
            'two thirds of an old bush at once' => [
                ['rule' => 'one-off-renovation'], new Plant('b', 'blackcurrant', stems: StemCount::of(9, 0)),
                [['old stems to take out', 1, 3, 3]],
                ['2/3 x 9, of 9 old, at most 3 = 3'],
            ],
        ];
    }

    /** @param  array<string, mixed>  $rule */
    #[DataProvider('figures')]
    public function test_a_figure_that_cannot_be_is_told(array $rule, string $figure): void
    {
        $least = $rule;
        $least[$figure] = 1;
        self::assertNotSame(
            [],
            self::worked($least, new Plant('w', 'wisteria', heightMm: 900, spreadMm: 900))->amounts,
        );
        $this->expectException(Fault::class);
        $this->expectExceptionMessage("$figure: at least 1 is needed here");
        self::worked([...$rule, $figure => 0], new Plant('w', 'wisteria'));
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function figures(): array
    {
        return [
            'wires on top of each other' => [['rule' => 'wires', 'first_mm' => 450], 'spacing_mm'],
            'laterals in one place' => [['rule' => 'positions', 'what' => 'laterals'], 'spacing_mm'],
            'laterals of a bent cane in one place' => [['rule' => 'bent-cane'], 'spacing_mm'],
        ];
    }

    public function test_a_rule_nobody_knows_is_told(): void
    {
        $this->expectExceptionMessage('rule: "guess" is not an amount rule');
        self::worked(['rule' => 'guess'], new Plant('w', 'wisteria'));
    }

    public function test_more_dead_buds_than_one_counts_on_are_told(): void
    {
        $rule = ['rule' => 'buds-with-losses', 'what' => 'nodes', 'wanted' => 3, 'most_dead' => 80];
        $says = static fn (int $dead): string => self::because(
            self::worked($rule, new Plant('v', 'grape-vine', budMortalityPercent: $dead)),
        );
        self::assertStringNotContainsString('another cane', $says(80));
        self::assertStringContainsString('another cane is the better choice', $says(81));
        self::assertSame([15, 15], [BudsWithLosses::leave(3, 80, 80), BudsWithLosses::leave(3, 95, 80)]);
    }

    public function test_live_growth_draws_on_what_is_left_of_the_budget(): void
    {
        $rule = [
            'rule' => 'given',
            'what' => 'live wood to take off',
            'effect' => 'live-share',
            'unit' => '%',
            'min' => 5,
            'target' => 20,
            'max' => 25,
        ];
        $left = static fn (int $used): array => array_map(
            static fn (Amount $amount): array => [$amount->min, $amount->target, $amount->max],
            self::worked($rule, new Plant('l', 'lilac'), Budget::of(25, 'x', self::cut($used), 2027))->amounts,
        );
        self::assertSame([[5, 20, 25]], $left(0));
        // A tenth gone of a quarter: a sixth of what stands.
        self::assertSame([[5, 16, 16]], $left(10));
        self::assertSame([[1, 1, 1]], $left(24));
        self::assertSame([[0, 0, 0]], $left(25));
    }

    /** What the coming years hold: the rest of a renovation, as far as it has come. */
    public function test_the_years_to_come_share_what_is_left_of_a_renovation(): void
    {
        $done = static fn (int $season): LoggedWork => new LoggedWork(
            'after-flowering', $season, Day::of($season, 6, 1), Outcome::Done, 30, recipe: 'renovate',
        );
        $planned = static fn (LoggedWork ...$history): array => array_column(
            YearsBudget::of(
                new Plant(
                    'l', 'lilac', stems: StemCount::of(8, 2), aim: 'renewal', history: array_values($history),
                ),
                2027,
                TestBook::keeping(),
                33,
                'x',
                'renovate',
            ),
            'planned',
            'season',
        );
        self::assertSame([2027 => 3, 2028 => 3, 2029 => 2], array_filter($planned(), is_int(...)));
        self::assertSame([2027 => 4, 2028 => 4], array_filter($planned($done(2026)), is_int(...)));
        self::assertSame([2027 => 8], array_filter($planned($done(2025), $done(2026)), is_int(...)));
        self::assertSame(range(2024, 2029), array_keys($planned()));
    }

    public function test_what_is_wanted_and_what_may_go_meet_without_a_word_of_doubt(): void
    {
        $rule = [
            'rule' => 'given', 'what' => 'live wood to take off', 'effect' => 'live-share', 'unit' => '%', 'min' => 5,
            'target' => 20, 'max' => 33,
        ];
        self::assertStringNotContainsString('has gone', self::because(self::worked($rule, new Plant('l', 'lilac'))));
        $keep = ['rule' => 'stems-to-keep', 'unit' => 'trunks', 'min' => 3, 'target' => 4, 'max' => 5];
        $trunks = static fn (int $all): string => self::because(self::worked(
            $keep, new Plant('c', 'crape-myrtle', stems: StemCount::of($all, 0)),
        ));
        self::assertStringContainsString('none must go for number alone', $trunks(5));
        self::assertStringContainsString('keeping 4 trunks takes out 2', $trunks(6));
        $bush = self::worked(['rule' => 'one-off-renovation'], new Plant('b', 'blackcurrant'))->amounts[0];
        self::assertSame([50, 67, 67], self::bounds($bush), 'two thirds');
    }

    public function test_a_number_of_one_is_said_as_one(): void
    {
        self::assertSame('1 leaf', Amount::exactly('x', 'leaves', 1)->inWords());
        self::assertSame('1 node', Amount::exactly('x', 'nodes', 1)->inWords());
        self::assertSame('1 %', Amount::exactly('x', '%', 1)->inWords());
        self::assertSame('0 to 1 mm', str_replace('up to', '0 to', Amount::of('x', 'mm', 0, 1, 1)->inWords()));
        self::assertSame('1 to 2 buds', Amount::of('x', 'buds', 1, 1, 2)->inWords());
        self::assertSame([3, 3, 3], self::bounds(Amount::of('x', 'buds', 3, 1, 2)));
        self::assertSame([1, 2, 2], self::bounds(Amount::of('x', 'buds', 1, 9, 2)));
    }

    public function test_what_has_outgrown_its_line_comes_down_as_far_as_may_go(): void
    {
        $line = new TargetSize(300);
        $held = static fn (string $kind, int $height, ?int $spread = null): array => $line->for(self::of(
            new Plant('h', $kind, heightMm: $height, spreadMm: $spread, state: new State(
                targetHeightMm: 1500, widthMm: 600,
            )),
            Budget::of(33, 'x', [], 2027),
        ));
        $after = static fn (string $kind, int $height): int => $held($kind, $height)[0][0]->target;
        self::assertSame(1500, $after('yew', 1500));
        self::assertSame(1500, $after('yew', 2200), 'a third of 2.2 m may go, and 70 cm do');
        self::assertSame(2010, $after('yew', 3000), 'of 3 m a third less');
        self::assertSame(2700, $after('leyland-cypress', 3000), 'what breaks badly loses a year\'s growth');
        self::assertSame([], $held('yew', 1500, 900)[1], 'a year\'s growth over its width');
        self::assertStringContainsString('one face', $held('yew', 1500, 901)[1][0]);
        self::assertStringContainsString('into the green only', $held('leyland-cypress', 1500, 901)[1][0]);
    }

    /** @param  array<string, mixed>  $rule */
    private static function worked(array $rule, Plant $plant, ?Budget $budget = null): Amounts
    {
        return AmountRules::of(new AmountSpec(Entry::of($rule), 'common practice'))
            ->for(self::of($plant, $budget ?? Budget::of(33, 'common practice', [], 2027)));
    }

    private static function of(Plant $plant, Budget $budget): AmountCase
    {
        return new AmountCase($plant, TestBook::read()->kind($plant->kind), 2027, 'renew-by-thirds', $budget);
    }

    private static function because(Amounts $amounts): string
    {
        return implode(' ', array_map(static fn (Reason $reason): string => $reason->because, $amounts->reasons));
    }

    /** @return list<LoggedWork> */
    private static function cut(int $percent): array
    {
        return [new LoggedWork(
            'tidy', 2027, Day::parse('2027-02-01'),
            Outcome::Done, 10, $percent,
        )];
    }

    /** @return array{int, int, int} */
    private static function bounds(Amount $amount): array
    {
        return [$amount->min, $amount->target, $amount->max];
    }
}
