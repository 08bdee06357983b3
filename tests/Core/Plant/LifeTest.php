<?php

declare(strict_types=1);

namespace Tests\Core\Plant;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Hemisphere;
use PruningHook\Core\Plant\Growing;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\Plant\Taken;
use Tests\Support\TestBook;

/** What was measured, then changed by the record, then grown older. Common practice, no source. */
final class LifeTest extends TestCase
{
    public function test_what_is_logged_out_no_longer_stands(): void
    {
        $plant = $this->counted('2027-02-03', self::log('2027-02-03', new Taken(old: 3)))->on(
            self::day('2027-02-04'), Hemisphere::North, self::growing(), TestBook::keeping(),
        );
        self::assertEquals(StemCount::of(6, 4), $plant->stems);
        self::assertSame(
            '9 old and 4 young counted on 3 February 2027, 3 taken out that day',
            $plant->carriedFrom['stems'],
        );
    }

    public function test_what_was_done_before_the_count_is_in_it(): void
    {
        $plant = $this->counted('2027-02-03', self::log('2026-02-03', new Taken(old: 3)))->on(
            self::day('2027-02-04'), Hemisphere::North, self::growing(), TestBook::keeping(),
        );
        self::assertEquals(StemCount::of(9, 4), $plant->stems);
        self::assertSame([], $plant->carriedFrom);
    }

    public function test_work_not_done_takes_nothing(): void
    {
        $plant = $this->counted('2027-02-03', self::log('2027-02-03', new Taken(old: 3), Outcome::NotDone))->on(
            self::day('2027-02-04'), Hemisphere::North, self::growing(), TestBook::keeping(),
        );
        self::assertEquals(StemCount::of(9, 4), $plant->stems);
    }

    public function test_each_winter_half_of_the_young_grow_old_and_new_ones_come_where_room_was_made(): void
    {
        $left = $this->counted('2026-02-03')->on(
            self::day('2027-02-03'), Hemisphere::North, self::growing(), TestBook::keeping(),
        );
        self::assertEquals(
            StemCount::of(11, 3), $left->stems, 'two of four grow old, and one comes of itself',
        );
        $cut = $this->counted('2026-02-03', self::log('2026-02-03', new Taken(old: 3)))->on(
            self::day('2027-02-03'), Hemisphere::North, self::growing(), TestBook::keeping(),
        );
        self::assertEquals(StemCount::of(8, 5), $cut->stems, 'light lets three come, the most of its kind');
        self::assertStringContainsString(
            '3 taken out that day; since then 2 grew old and 3 came from the base',
            $cut->carriedFrom['stems'],
        );
    }

    public function test_the_southern_winter_is_in_june(): void
    {
        $on = fn (string $day, Hemisphere $hemisphere): ?StemCount => $this->counted('2026-02-03')->on(
            self::day($day), $hemisphere, self::growing(), TestBook::keeping(),
        )->stems;
        self::assertEquals(StemCount::of(9, 4), $on('2026-06-20', Hemisphere::South));
        self::assertEquals(StemCount::of(11, 3), $on('2026-06-21', Hemisphere::South));
        self::assertEquals(StemCount::of(9, 4), $on('2026-06-21', Hemisphere::North));
    }

    public function test_stems_of_any_age_are_taken_the_old_before_the_young(): void
    {
        $plant = $this->counted('2027-02-03', self::log('2027-02-10', new Taken(any: 11)))->on(
            self::day('2027-03-01'), Hemisphere::North, self::growing(), TestBook::keeping(),
        );
        self::assertEquals(StemCount::of(0, 2), $plant->stems);
        self::assertStringContainsString('11 taken out on 10 February 2027', $plant->carriedFrom['stems']);
    }

    public function test_a_shrub_renewed_by_thirds_for_ten_years_stays_a_shrub(): void
    {
        $logs = [];
        $plant = $this->counted('2017-06-01');
        for ($year = 2017; $year < 2027; $year++) {
            $now = $this->counted('2017-06-01', ...$logs)->on(
                self::day("$year-06-01"), Hemisphere::North, self::growing(), TestBook::keeping(),
            );
            $logs[] = self::log("$year-06-01", new Taken(old: max(1, (int) round(($now->stems->old ?? 0) / 3))));
        }
        $after = $this->counted('2017-06-01', ...$logs)->on(
            self::day('2027-06-01'), Hemisphere::North, self::growing(), TestBook::keeping(),
        );
        self::assertGreaterThanOrEqual(4, $after->stems?->all());
        self::assertLessThanOrEqual(16, $after->stems?->all());
        self::assertGreaterThan(0, $after->stems?->young, 'there is always a young one to take the place of an old');
    }

    public function test_a_height_is_cut_and_grows_again_no_taller_than_its_kind(): void
    {
        $shrub = static fn (LoggedWork ...$history): Plant => new Plant(
            'p', 'lilac', heightMm: 2000, heightOn: self::day('2024-02-01'), history: array_values($history),
        );
        $later = $shrub()->on(self::day('2027-02-01'), Hemisphere::North, self::growing(), TestBook::keeping());
        self::assertSame(2500, $later->heightMm, 'three winters of 300 mm, but no taller than 2.5 m');
        self::assertSame('2 m measured on 1 February 2024, and 50 cm grown since', $later->carriedFrom['height']);
        $cut = $shrub(self::log('2026-02-10', new Taken(heightMm: 500)))->on(
            self::day('2027-02-01'), Hemisphere::North, self::growing(), TestBook::keeping(),
        );
        self::assertSame(800, $cut->heightMm);
        self::assertSame(
            'cut to 50 cm on 10 February 2026, and 30 cm grown since',
            $cut->carriedFrom['height'],
        );
        $hedge = $shrub()->on(
            self::day('2027-02-01'), Hemisphere::North, new Growing(300, 2500, 3, true), TestBook::keeping(),
        );
        self::assertSame(2000, $hedge->heightMm, 'a hedge is held to its line');
    }

    public function test_what_nobody_dated_is_taken_as_it_stands(): void
    {
        $plant = new Plant(
            'p', 'lilac', heightMm: 2000, stems: StemCount::of(9, 4),
            history: [self::log('2026-02-10', new Taken(old: 3, heightMm: 500))],
        );
        self::assertSame(
            $plant,
            $plant->on(self::day('2027-02-01'), Hemisphere::North, self::growing(), TestBook::keeping()),
        );
    }

    private function counted(string $on, LoggedWork ...$history): Plant
    {
        return new Plant(
            'p', 'lilac', stems: StemCount::of(9, 4), stemsOn: self::day($on), history: array_values($history),
        );
    }

    private static function log(string $on, Taken $taken, Outcome $outcome = Outcome::Done): LoggedWork
    {
        return new LoggedWork('after-flowering', self::day($on)->year(), self::day($on), $outcome, 30, taken: $taken);
    }

    private static function growing(): Growing
    {
        return new Growing(300, 2500, 3, false);
    }

    private static function day(string $text): Day
    {
        return Day::parse($text);
    }

    public function test_one_that_stands_taller_than_its_kind_grows_no_taller(): void
    {
        $tall = (new Plant('p', 'lilac', heightMm: 5000, heightOn: self::day('2026-02-03')))->on(
            self::day('2027-02-03'), Hemisphere::North, new Growing(300, 4000, 3, false), TestBook::keeping(),
        );
        self::assertSame([5000, []], [$tall->heightMm, $tall->carriedFrom]);
    }

    /** The kind's figure counts as two seasons of this plant's own. */
    public function test_what_a_plant_has_shown_draws_its_growth(): void
    {
        $grown = static fn (int ...$seen): ?int => (new Plant(
            'p', 'lilac', heightMm: 1000, growthSeenMm: array_values($seen), heightOn: self::day('2026-02-03'),
        ))->on(
            self::day('2027-02-03'), Hemisphere::North, new Growing(300, 4000, 3, false), TestBook::keeping(),
        )->heightMm;
        self::assertSame([1300, 1400, 1450], [$grown(), $grown(600), $grown(600, 600)]);
    }
}
