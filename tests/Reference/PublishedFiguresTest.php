<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use Tests\Support\Prescribing;

/** Buds, heights, counts and shares against published figures, each named; common practice where there is none. */
final class PublishedFiguresTest extends TestCase
{
    use Prescribing;

    /** @param  array<string, string>  $firm */
    #[DataProvider('figures')]
    public function test_the_figure(
        string $kind,
        string $task,
        string $what,
        int $min,
        int $max,
        array $firm = [],
    ): void {
        $this->assertAmount($kind, $task, $what, $min, $max, $firm);
    }

    /** @return array<string, array{0: string, 1: string, 2: string, 3: int, 4: int, 5?: array<string, string>}> */
    public static function figures(): array
    {
        return [
            'RHS, Redcurrants: side shoots to one to three buds in winter (from memory)' => [
                'redcurrant', 'winter-pass', 'buds per lateral', 1, 3,
            ],
            'RHS, Redcurrants and gooseberries: new shoots to five leaves in summer (from memory)' => [
                'gooseberry', 'summer-pass', 'leaves per new shoot', 5, 5,
            ],
            'RHS, Pruning trained apples: new laterals to three leaves in summer (from memory)' => [
                'apple-espalier', 'summer-pass', 'leaves per new lateral', 3, 3,
            ],
            'RHS, Raspberries: six to ten of the strongest canes a plant (from memory)' => [
                'raspberry-summer', 'fruited-canes', 'canes to keep', 6, 10,
            ],
            'RHS, Wisteria: two or three buds in winter (from memory)' => [
                'wisteria', 'winter-pass', 'buds per lateral', 2, 3,
            ],
            'RHS, Wisteria: five or six leaves in summer (from memory)' => [
                'wisteria', 'summer-pass', 'leaves per whip', 5, 6,
            ],
            'common practice, no source: climbing rose laterals to 2 or 3 buds' => [
                'climbing-rose', 'prune-and-train', 'buds per lateral', 2, 3,
            ],
            'common practice, no source: the school of 3 or 4 buds' => [
                'climbing-rose', 'prune-and-train', 'buds per lateral', 3, 4,
                ['climbing-rose-laterals' => 'three-to-four'],
            ],
            'common practice, no source: the school of the second bud' => [
                'climbing-rose', 'prune-and-train', 'buds per lateral', 2, 2,
                ['climbing-rose-laterals' => 'second-bud'],
            ],
            'common practice, no source: a climber keeps four or five mains' => [
                'climbing-rose', 'prune-and-train', 'mains to keep', 4, 5,
            ],
            'common practice, no source: a bush rose keeps three to five stems' => [
                'bush-rose', 'main-pruning', 'stems to keep', 3, 5,
            ],
            'common practice, no source: blackberry keeps three to eight canes' => [
                'blackberry', 'fruited-canes', 'canes to keep', 3, 8,
            ],
            'common practice, no source: blackberry laterals of 30 to 45 cm' => [
                'blackberry', 'laterals', 'lateral length', 300, 450,
            ],
            'common practice, no source: vine canes of six to eight buds at the rough pass' => [
                'grape-vine', 'rough-pass', 'buds per cane', 6, 8,
            ],
            'common practice, no source: two or three canes of insurance' => [
                'grape-vine', 'rough-pass', 'canes kept for each one needed', 2, 3,
            ],
            'common practice, no source: crape myrtle on three to five trunks' => [
                'crape-myrtle', 'winter-structure', 'trunks to keep', 3, 5,
            ],
            'common practice, no source: heading 15 to 23 cm above last year\'s cut' => [
                'crape-myrtle', 'winter-structure', "length left above last year's cut", 150, 230,
                ['crape-myrtle-height' => 'heading'],
            ],
            'ANSI A300 Part 1, pre-2017 text: at most a quarter of the live crown (from memory)' => [
                'crape-myrtle', 'winter-structure', 'live crown taken', 0, 25,
            ],
        ];
    }

    /** RHS, Rose pruning: cut no more than 5 mm above a bud, sloping away from it (from memory). */
    public function test_the_cut_over_a_bud(): void
    {
        self::assertContains(
            'Cut 5 mm above an outward bud, sloping gently away from it.',
            $this->task(new Plant('r', 'bush-rose'), 'main-pruning')->steps,
        );
    }

    /** Common practice, no source: opposite buds are cut straight across. */
    public function test_the_cut_over_a_pair_of_buds(): void
    {
        self::assertContains(
            'Cut straight across, just above a pair of buds.',
            $this->task(new Plant('b', 'butterfly-bush'), 'spring-cut')->steps,
        );
    }

    /** ANSI A300 Part 1 (from memory): live crown at least two thirds of the height. */
    public function test_two_thirds_of_the_height_stay_in_leaf(): void
    {
        foreach ([1500, 3000, 4500, 5000] as $height) {
            $clear = $this->amount(
                $this->task(new Plant('c', 'crape-myrtle', heightMm: $height), 'winter-structure'),
                'clear stem',
            );
            self::assertGreaterThanOrEqual(2 / 3, ($height - $clear->max) / $height);
        }
    }

    /** Common practice, no source: flowers wanted at 1.1 m with 0.6 m of growth are had by cutting at 0.5 m. */
    public function test_the_worked_example_of_a_flowering_height(): void
    {
        $task = $this->task(new Plant('s', 'sweet-pepperbush', heightMm: 1600, floweringHeightMm: 1100), 'height-cut');
        self::assertSame(500, $this->amount($task, 'cut height')->target);
        self::assertSame(1100, $this->amount($task, 'expected flowering height')->target);
    }

    /** Common practice, no source: a butterfly bush cut to 15 cm stands at 1.5 to 1.8 m by midsummer. */
    public function test_a_butterfly_bush_cut_to_its_framework(): void
    {
        $task = $this->task(new Plant('b', 'butterfly-bush', floweringHeightMm: 1000), 'spring-cut');
        self::assertSame(150, $this->amount($task, 'cut height')->target);
        $flowers = $this->amount($task, 'expected flowering height');
        self::assertSame([1500, 1800], [$flowers->min, $flowers->max]);
    }

    /** RHS, Blackcurrants: up to a third of the oldest stems a year (from memory). */
    public function test_a_blackcurrant_loses_a_third_of_its_oldest(): void
    {
        $take = $this->amount(
            $this->task(new Plant('c', 'blackcurrant', stems: StemCount::of(9, 6)), 'winter-renewal'),
            'old stems to take out',
        );
        self::assertSame(3, $take->target);
        self::assertLessThanOrEqual(5, $take->max);
    }

    /**
     * Common practice, no source: at least half of ten crape myrtle trunks come out in the end; ANSI A300 (pre-2017
     * text, from memory): no more than a quarter of the live crown in a year.
     */
    public function test_ten_trunks_lose_at_least_half_over_some_years(): void
    {
        $trunks = 10;
        $years = 0;
        do {
            $out = $this->amount(
                $this->task(new Plant('c', 'crape-myrtle', stems: StemCount::of($trunks, 0)), 'winter-structure'),
                'trunks to take out',
            )->target;
            self::assertLessThanOrEqual($trunks / 4, $out);
            $trunks -= $out;
            $years += $out > 0 ? 1 : 0;
        } while ($out > 0);
        self::assertSame([4, 4], [$trunks, $years], '10, 8, 6, 5, 4');
    }

    /** Common practice, no source: kiwi laterals of eight buds, about 15 cm apart, on two arms of one trunk. */
    public function test_a_kiwi_in_winter(): void
    {
        $task = $this->task(new Plant('k', 'hardy-kiwi-female', spreadMm: 3000), 'winter-pass');
        self::assertSame(8, $this->amount($task, 'buds per lateral')->target);
        self::assertSame(150, $this->amount($task, 'spacing of the laterals')->target);
        self::assertSame(21, $this->amount($task, 'laterals on the arms')->target);
    }

    /**
     * Common practice, no source: a bed of twenty bush roses takes one gardener two to two and a half hours, a
     * butterfly bush some minutes.
     */
    public function test_a_bed_of_roses(): void
    {
        foreach ([700, 950, 1050] as $height) {
            $bed = $this->task(new Plant('r', 'bush-rose', count: 20, heightMm: $height), 'main-pruning')->minutes;
            self::assertGreaterThanOrEqual(110, $bed);
            self::assertLessThanOrEqual(150, $bed);
        }
        self::assertLessThan(12, $this->task(new Plant('b', 'butterfly-bush'), 'spring-cut')->minutes);
    }
}
