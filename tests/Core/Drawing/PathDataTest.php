<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Drawing\PathData;
use PruningHook\Core\Drawing\Spot;
use PruningHook\Core\Drawing\Tick;

/** Path data as SVG 1.1, 8.3 has it (from memory): M and l, x to the right, y down, told from the point before. */
final class PathDataTest extends TestCase
{
    /** One grain is a millimetre. */
    private const UNIT_MM = 100 / 8;

    public function test_points_on_a_line_are_left_out_and_the_rest_stand_where_they_stood(): void
    {
        mt_srand(7);
        for ($round = 0; $round < 60; $round++) {
            [$outline, $back] = [[new Spot(0, 300 * sin($round))], [new Spot(10, 300 * sin($round) - 30)]];
            for ($point = 1; $point < 12; $point++) {
                $x = 150.0 * $point;
                $y = 300 * sin($point / 8 + $round) + mt_rand(-2, 2);
                $outline[] = new Spot($x, $y);
                array_unshift($back, new Spot($x + 10, $y - 30));
            }
            array_push($outline, ...$back);
            $data = new PathData(40.0);
            $path = $data->closed([$outline]);
            $drawn = array_map(
                static fn (array $point): array => [$point[0] * $data->grainMm, $point[1] * $data->grainMm],
                self::points($path),
            );
            self::assertStringEndsWith('Z', $path);
            self::assertLessThan(count($outline), count($drawn));
            foreach ($outline as $spot) {
                // An eighth of the unit off the line at the most, and half a grain by rounding.
                self::assertLessThan(0.125 * 40.0 + 2, self::away($spot, $drawn), $path);
            }
        }
    }

    public function test_a_straight_limb_is_four_points_and_figures_part_themselves(): void
    {
        $path = (new PathData(self::UNIT_MM))->closed([[
            new Spot(0, 0), new Spot(0, 50), new Spot(0, 100), new Spot(10, 100), new Spot(10, 50), new Spot(10, 0),
        ]]);
        self::assertSame('M0 0l0-100 10 0 0 100Z', $path);
        self::assertSame('M-5-7l10 14', (new PathData(self::UNIT_MM))->open([new Spot(-5, 7), new Spot(5, -7)]));
        self::assertSame('M3 0', (new PathData(self::UNIT_MM))->open([new Spot(3, 0), new Spot(3.2, 0.1)]), 'no step');
        self::assertSame('', (new PathData(self::UNIT_MM))->closed([]));
    }

    public function test_dots_stars_and_ticks_stand_about_their_places(): void
    {
        $path = new PathData(self::UNIT_MM);
        self::assertSame(
            'M7-20a3 3 0 1 0 6 0a3 3 0 1 0-6 0', str_replace(' -', '-', $path->dots([new Spot(10, 20)], 3)),
        );
        $star = self::points($path->stars([new Spot(100, 50)], 10));
        self::assertCount(8, $star);
        self::assertEqualsWithDelta(100, array_sum(array_column($star, 0)) / 8, 0.01);
        self::assertEqualsWithDelta(-50, array_sum(array_column($star, 1)) / 8, 0.01);
        self::assertSame('M-5 0l10 0', $path->ticks([new Tick(new Spot(0, 0), 0.0)], 5));
        self::assertSame('M0-5l0 10', str_replace(' -', '-', $path->ticks([new Tick(new Spot(0, 0), 90.0)], 5)));
    }

    /** @return list<array{float, float}> where the points stand, y down */
    private static function points(string $path): array
    {
        preg_match_all('/-?\d+/', $path, $figures);
        $points = [];
        [$x, $y] = [0.0, 0.0];
        foreach (array_chunk($figures[0], 2) as [$dx, $dy]) {
            [$x, $y] = [$x + (float) $dx, $y + (float) $dy];
            $points[] = [$x, $y];
        }

        return $points;
    }

    /** @param  list<array{float, float}>  $ring */
    private static function away(Spot $spot, array $ring): float
    {
        $nearest = INF;
        foreach ($ring as $nth => [$x1, $y1]) {
            [$x2, $y2] = $ring[($nth + 1) % count($ring)];
            $square = ($x2 - $x1) ** 2 + ($y2 - $y1) ** 2;
            $share = $square > 0
                ? max(0, min(1, (($spot->x - $x1) * ($x2 - $x1) + (-$spot->y - $y1) * ($y2 - $y1)) / $square))
                : 0;
            $nearest = min($nearest, hypot(
                $spot->x - $x1 - $share * ($x2 - $x1), -$spot->y - $y1 - $share * ($y2 - $y1),
            ));
        }

        return $nearest;
    }
}
