<?php

declare(strict_types=1);

namespace Tests\Core\Amount;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\BudsWithLosses;
use PruningHook\Core\Amount\Positions;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\Units\Length;
use Tests\Support\Prescribing;

final class AmountRulesTest extends TestCase
{
    use Prescribing;

    /** The shares of trade practice: a third of the old, and never more than a third of all. */
    #[DataProvider('stems')]
    public function test_thirds(int $old, int $young, int $target, int $most): void
    {
        $task = $this->task(new Plant('f', 'forsythia', stems: StemCount::of($old, $young)), 'after-flowering');
        $take = $this->amount($task, 'old stems to take out');
        self::assertSame([$target, $most], [$take->target, $take->max]);
    }

    /** @return array<string, array{int, int, int, int}> */
    public static function stems(): array
    {
        return [
            'nine old and four young' => [9, 4, 3, 4],
            'all old' => [12, 0, 4, 4],
            'one old among five young' => [1, 5, 1, 1],
            'two stems in all: a third is none' => [1, 1, 0, 0],
            'nothing old' => [0, 6, 0, 0],
        ];
    }

    public function test_thirds_name_this_plants_stems_in_the_steps(): void
    {
        $steps = implode(
            ' ',
            $this->task(new Plant('f', 'forsythia', stems: StemCount::of(9, 4)), 'after-flowering')->steps,
        );
        self::assertStringContainsString('Take out 3 of the 9 old stems at the base, the oldest first', $steps);
        self::assertStringContainsString('Leave the 4 stems of young wood', $steps);
        self::assertStringNotContainsString('{', $steps);
    }

    public function test_uncounted_stems_are_given_as_a_share(): void
    {
        $share = $this->amount(
            $this->task(new Plant('l', 'lilac'), 'after-flowering'),
            'share of the stems to take out',
        );
        self::assertSame(
            [0, 33, 33], [$share->min, $share->target, $share->max],
            'a third at the most, and none where none is old',
        );
        $task = $this->task(new Plant('f', 'forsythia'), 'after-flowering');
        self::assertSame(33, $this->amount($task, 'share of the stems to take out')->max);
        self::assertStringContainsString('Count the old stems', implode(' ', $task->steps));
    }

    public function test_a_wish_below_the_framework_gets_the_nearest_possible_and_why(): void
    {
        $task = $this->task(new Plant('b', 'bluebeard', floweringHeightMm: 700), 'spring-cut');
        self::assertSame(300, $this->amount($task, 'cut height')->target);
        self::assertSame(1050, $this->amount($task, 'expected flowering height')->target);
        self::assertStringContainsString(
            'minus 5 cm is below its lowest framework of 30 cm',
            $this->saysBecause($task, 'The wish cannot be met'),
        );
    }

    public function test_without_a_wish_the_usual_height_is_cut(): void
    {
        $cut = $this->amount($this->task(new Plant('b', 'butterfly-bush'), 'spring-cut'), 'cut height');
        self::assertSame([300, 300, 300], [$cut->min, $cut->target, $cut->max]);
    }

    public function test_a_plant_below_the_cut_is_only_tipped(): void
    {
        $task = $this->task(new Plant('s', 'sweet-pepperbush', heightMm: 400, floweringHeightMm: 1500), 'height-cut');
        self::assertStringContainsString('below the cut', $this->saysBecause($task, 'Shorter than the cut'));
    }

    public function test_stems_to_keep_says_how_many_go(): void
    {
        $task = $this->task(new Plant('c', 'crape-myrtle', stems: StemCount::of(10, 0)), 'winter-structure');
        $out = $this->amount($task, 'trunks to take out');
        // Six too many; a quarter of the crown may go in a year (ANSI A300, pre-2017 text, from memory): two of ten
        // trunks.
        self::assertSame([2, 2, 2], [$out->min, $out->target, $out->max]);
        self::assertStringContainsString(
            'takes out 6: 2 now and the others over the coming years',
            $this->saysBecause($task, 'Trunks to keep'),
        );
    }

    public function test_few_stems_stay_whole(): void
    {
        $out = $this->amount(
            $this->task(new Plant('r', 'bush-rose', stems: StemCount::of(2, 1)), 'main-pruning'),
            'stems to take out',
        );
        self::assertSame([0, 0, 0], [$out->min, $out->target, $out->max]);
    }

    public function test_legs_are_cleared_no_higher_than_a_third(): void
    {
        $clear = $this->amount(
            $this->task(new Plant('c', 'crape-myrtle', heightMm: 3000), 'winter-structure'),
            'clear stem',
        );
        self::assertSame(1000, $clear->max);
        $clear = $this->amount(
            $this->task(new Plant('c', 'crape-myrtle', heightMm: 5000), 'winter-structure'),
            'clear stem',
        );
        self::assertSame([1200, 1500], [$clear->min, $clear->max]);
    }

    #[DataProvider('lengths')]
    public function test_positions_along_an_arm(int $length, int $positions): void
    {
        self::assertSame($positions, Positions::along($length, 150));
    }

    /** @return list<array{int, int}> */
    public static function lengths(): array
    {
        return [[0, 1], [149, 1], [150, 2], [3000, 21]];
    }

    public function test_a_light_arc_takes_a_third_of_the_height_it_has(): void
    {
        $plant = new Plant('r', 'bush-rose', heightMm: 900);
        $after = $this->amount(
            $this->task($plant, 'main-pruning', firm: ['bush-rose-severity' => 'light-arc']),
            'height after the cut',
        );
        self::assertSame(603, $after->target);
        $unmeasured = $this->task(
            new Plant('r', 'bush-rose'),
            'main-pruning',
            firm: ['bush-rose-severity' => 'light-arc'],
        );
        self::assertSame(33, $this->amount($unmeasured, 'share of the height to take off')->target);
    }

    #[DataProvider('words')]
    public function test_amounts_are_said_as_a_gardener_says_them(Amount $amount, string $words): void
    {
        self::assertSame($words, $amount->inWords());
    }

    /** @return list<array{Amount, string}> */
    public static function words(): array
    {
        return [
            [Amount::of('b', 'buds', 2, 2, 3), '2 to 3 buds'],
            [Amount::exactly('b', 'buds', 1), '1 bud'],
            [Amount::exactly('l', 'leaves', 1), '1 leaf'],
            [Amount::of('h', 'mm', 300, 400, 450), '30 cm to 45 cm'],
            [Amount::of('c', '%', 0, 15, 25), 'up to 25 %'],
        ];
    }

    public function test_lengths_in_both_measures(): void
    {
        self::assertSame(
            ['5 mm', '45 cm', '1.2 m'],
            array_map(static fn (int $mm): string => Length::ofMm($mm)->metric(), [5, 450, 1200]),
        );
        self::assertSame(
            ['6 in', '3 ft 11 in', '5 ft'],
            array_map(static fn (int $mm): string => Length::ofMm($mm)->imperial(), [150, 1200, 1524]),
        );
    }

    /** Common practice, no source: a cane four fifths dead counts as that, and one that is worse as no better. */
    public function test_a_cane_all_but_dead_does_not_count_beyond_four_fifths(): void
    {
        self::assertSame(
            [4, 8, 20, 20, 20],
            array_map(static fn (int $dead): int => BudsWithLosses::leave(4, $dead, 80), [0, 50, 80, 81, 99]),
        );
    }
}
