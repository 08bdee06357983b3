<?php

declare(strict_types=1);

namespace Tests\Reference;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Structure\Clearance;
use PruningHook\Core\Structure\Openness;
use PruningHook\Core\Structure\Point;
use PruningHook\Core\Structure\Segment;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\StemJudge;
use PruningHook\Core\Structure\StemPlan;
use PruningHook\Core\Structure\Survey;
use Tests\Support\TestAim;

/** The geometry of stems against calculations made another way. */
final class StructureTest extends TestCase
{
    use TestTrait;

    public function test_the_distance_of_two_segments_is_what_a_fine_search_finds(): void
    {
        $this->limitTo(120)
            ->forAll(Generators::choose(1, 1_000_000))
            ->then(function (int $seed): void {
                mt_srand($seed);
                $at = static fn (): Point => Point::at(mt_rand(-500, 500), mt_rand(-500, 500), mt_rand(0, 1000));
                [$a, $b] = [new Segment($at(), $at()), new Segment($at(), $at())];
                mt_srand();
                [$distance, $s, $t] = $a->nearest($b);
                self::assertEqualsWithDelta(
                    $a->from->towards($a->to, $s)->distanceTo($b->from->towards($b->to, $t)), $distance, 1e-6,
                    'the shares belong to the distance',
                );
                self::assertEqualsWithDelta(self::searched($a, $b), $distance, 0.05);
            });
    }

    /** The least distance by narrowing a grid round its best point, which knows nothing of algebra. */
    private static function searched(Segment $a, Segment $b): float
    {
        [$s, $t, $width] = [0.5, 0.5, 1.0];
        $best = INF;
        for ($round = 0; $round < 30; $round++) {
            [$s0, $t0] = [$s, $t];
            for ($i = -10; $i <= 10; $i++) {
                for ($j = -10; $j <= 10; $j++) {
                    $u = max(0, min(1, $s0 + $width * $i / 20));
                    $v = max(0, min(1, $t0 + $width * $j / 20));
                    $distance = $a->from->towards($a->to, $u)->distanceTo($b->from->towards($b->to, $v));
                    if ($distance < $best) {
                        [$best, $s, $t] = [$distance, $u, $v];
                    }
                }
            }
            $width *= 0.6;
        }

        return $best;
    }

    public function test_crossing_parallel_and_touching_segments(): void
    {
        $segment = self::segment(...);
        // Two lines that cross at right angles, one 30 above the other.
        self::assertSame(
            [30.0, 0.5, 0.5],
            $segment([-10, 0, 0], [10, 0, 0])->nearest($segment([0, -10, 30], [0, 10, 30])),
        );
        self::assertSame(40.0, $segment([0, 0, 0], [0, 0, 100])->nearest($segment([40, 0, 20], [40, 0, 80]))[0]);
        self::assertSame(0.0, $segment([0, 0, 0], [0, 0, 100])->nearest($segment([-50, 0, 50], [50, 0, 50]))[0]);
        self::assertEqualsWithDelta(
            5.0, $segment([0, 0, 0], [0, 0, 0])->nearest($segment([3, 4, 0], [3, 4, 0]))[0], 1e-9,
        );
    }

    public function test_the_share_of_wood_goes_with_the_square_of_the_thickness(): void
    {
        // Pipe model, Shinozaki et al. 1964 (from memory): leaves go with cross-section. Sections by the circle's area.
        $stems = [self::stem('a', 10, faults: [StemFault::Inward]), self::stem('b', 20), self::stem('c', 30)];
        $area = static fn (int $mm): float => M_PI * ($mm / 2) ** 2;
        $judged = StemJudge::with(new Clearance(0, 0, 0))->judge(
            Survey::of($stems),
            TestAim::of(StemPlan::Tidy, null, null, null, 10, 'test'),
        );
        self::assertCount(1, $judged->cuts);
        self::assertEqualsWithDelta(100 * $area(10) / ($area(10) + $area(20) + $area(30)), $judged->sharePercent, 1e-9);
    }

    public function test_a_tip_stands_where_trigonometry_puts_it(): void
    {
        // 1000 mm long, leaning 30 degrees to the east: 500 mm out, 866 mm up.
        $tip = (new Stem('e', 90, 30, 1000, 20))->tip(0);
        self::assertEqualsWithDelta(500, $tip->x, 0.1);
        self::assertEqualsWithDelta(0, $tip->y, 0.1);
        self::assertEqualsWithDelta(866.03, $tip->z, 0.1);
    }

    public function test_a_bowl_is_open_and_a_thicket_is_not(): void
    {
        $ring = array_map(static fn (int $way): Stem => new Stem("s$way", $way, 40, 1000, 15), range(0, 300, 60));
        self::assertGreaterThan(80, Openness::of($ring));
        $upright = [
            ...$ring,
            ...array_map(static fn (int $way): Stem => new Stem("u$way", $way, 4, 1000, 15), range(0, 315, 45)),
        ];
        self::assertLessThan(Openness::of($ring), Openness::of($upright));
    }

    /**
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $b
     */
    private static function segment(array $a, array $b): Segment
    {
        return new Segment(Point::at(...$a), Point::at(...$b));
    }

    /** @param  list<StemFault>  $faults */
    private static function stem(string $ref, int $base, array $faults = []): Stem
    {
        return new Stem($ref, ['a' => 0, 'b' => 120, 'c' => 240][$ref], 40, 900, $base, 3, $faults);
    }
}
