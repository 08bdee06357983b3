<?php

declare(strict_types=1);

namespace Tests\Core\Prescription;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use Tests\Support\Sites;
use Tests\Support\TestBook;

final class PlantTest extends TestCase
{
    #[DataProvider('plantings')]
    public function test_the_season_in_the_ground(string $planted, Site $site, int $season, int $year): void
    {
        self::assertSame(
            $year,
            (new Plant('p', 'wisteria', planted: Day::parse($planted)))->yearInGround(
                SiteYear::of($site, $season),
                TestBook::keeping(),
            ),
        );
    }

    /** @return array<string, array{string, Site, int, int}> */
    public static function plantings(): array
    {
        [$north, $south] = [Sites::southernEngland(), Sites::southernEnglandMirrored()];

        return [
            'in spring, the same season' => ['2027-03-12', $north, 2027, 1],
            'in spring, the next' => ['2027-03-12', $north, 2028, 2],
            'in early summer' => ['2027-06-10', $north, 2028, 2],
            'in autumn: its first growth is next year' => ['2026-10-10', $north, 2027, 1],
            'long ago' => ['2015-03-01', $north, 2027, 13],
            'in the southern spring' => ['2027-09-12', $south, 2027, 1],
            'in the southern autumn' => ['2027-04-10', $south, 2027, 1],
            'in the southern spring before' => ['2026-10-12', $south, 2027, 2],
        ];
    }

    public function test_the_latest_line_of_the_record_counts(): void
    {
        $line = static fn (string $on, Outcome $outcome): LoggedWork => new LoggedWork(
            'winter-pass', 2027, Day::parse($on), $outcome, 30,
        );
        $plant = new Plant(
            'p', 'wisteria', history: [$line('2027-02-20', Outcome::Done), $line('2027-01-20', Outcome::NotDone)],
        );
        self::assertSame(Outcome::Done, $plant->logged('winter-pass', 2027)?->outcome);
        self::assertNull($plant->logged('winter-pass', 2026));
        self::assertNull($plant->logged('summer-pass', 2027));
        self::assertTrue($plant->hasRecordOf(2027));
        self::assertFalse($plant->hasRecordOf(2026));
    }

    /** @param  callable(): mixed  $make */
    #[DataProvider('impossible')]
    public function test_an_impossible_plant_is_refused(callable $make, string $says): void
    {
        $this->expectException(Fault::class);
        $this->expectExceptionMessage($says);
        $make();
    }

    /** @return array<string, array{callable(): mixed, string}> */
    public static function impossible(): array
    {
        return [
            'none of it' => [static fn () => new Plant('p', 'wisteria', count: 0), 'at least one plant'],
            'below the ground' => [static fn () => new Plant('p', 'wisteria', heightMm: -1), 'cannot be negative'],
            'a run below nothing' => [static fn () => new Plant('p', 'wisteria', runMm: -1), 'cannot be negative'],
            'fewer than no stems' => [static fn () => StemCount::of(3, -1), 'fewer than no stems'],
        ];
    }
}
