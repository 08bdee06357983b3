<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Drawing\DotMap;
use PruningHook\Core\Drawing\PairBars;

/** Charts of what a season came to. */
final class ReportChartsTest extends TestCase
{
    public function test_bars_are_as_long_as_the_largest_of_both(): void
    {
        $bars = PairBars::of([['Roses', 50, 200], ['Box', 100, 40], ['None', 0, 0]]);
        self::assertSame([[25.0, 100.0, true], [50.0, 20.0, false], [0.0, 0.0, false]], array_map(
            static fn (array $row): array => [$row['thought'], $row['came'], $row['isOver']], $bars->rows,
        ));
        self::assertSame([0.0, 14.0, 28.0], array_column($bars->rows, 'y'));
        self::assertSame(42.0, $bars->height);
        self::assertSame([], PairBars::of([])->rows);
    }

    public function test_dots_lie_as_the_places_do_and_their_area_tells_how_many(): void
    {
        // A degree of longitude at 60 degrees north is half as long as one of latitude.
        $map = DotMap::of([
            [60.5, 10.0, 4, 'North: four', 'North'], [59.5, 10.0, 1, 'South: one', 'South'],
            [60.0, 11.0, 1, 'East: one', 'East'], [60.5, 10.0, 1, 'North: one', 'North'],
        ]);
        [$north, $south, $east, $again] = $map->dots;
        self::assertEqualsWithDelta(80.0, $south['at']->y - $north['at']->y, 0.2);
        self::assertEqualsWithDelta(40.0, $east['at']->x - $north['at']->x, 0.4);
        self::assertEqualsWithDelta(50.0, $east['at']->y, 0.1);
        self::assertSame([6.0, 3.0], [$north['radius'], $south['radius']]);
        self::assertSame(['North', null], [$north['name'], $again['name']]);
        foreach ($map->dots as $dot) {
            self::assertTrue($dot['at']->x >= 10 && $dot['at']->x <= 90 && $dot['at']->y >= 10 && $dot['at']->y <= 90);
        }
        // Of two that lie side by side one is named below and one above.
        $beside = DotMap::of([[60.0, 10.0, 1, 'a', 'A'], [60.0, 10.4, 1, 'b', 'B'], [60.0, 12.0, 1, 'c', 'C'],
            [61.0, 10.0, 1, 'd', 'D']])->dots;
        self::assertSame([9.0, -7.0, 9.0, 9.0], array_column($beside, 'below'));
        self::assertSame([], DotMap::of([])->dots);
        self::assertEquals(50.0, DotMap::of([[52.0, -2.0, 1, 'One', 'One']])->dots[0]['at']->x);
    }
}
