<?php

declare(strict_types=1);

namespace Tests\Core\Regrowth;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Growth\Axis;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Growth\Year;
use PruningHook\Core\Regrowth\Canes;
use Tests\Support\Growing;

/**
 * Vines pruned to canes, with cane and spur near the foot and the old arm gone, and to spurs that stay close to their
 * arm. Common practice, no source.
 */
final class CanesTest extends TestCase
{
    use Growing;

    private const BUDS = 10;

    private const NODES = 3;

    public function test_year_after_year_one_cane_and_one_spur_stand_on_each_arm(): void
    {
        $plant = $this->grown('grape-vine', 3);
        $heads = [];
        for ($year = 0; $year < 6; $year++) {
            $cuts = (new Canes($plant))->laidAnew(self::BUDS);
            $laid = array_values(array_filter($cuts, static fn (Cut $cut): bool => $cut->does === 'lay'));
            $done = Cutting::of($plant, $cuts);
            self::assertCount(count($done->plant->stems()), $laid, 'a new cane on each arm');
            self::assertGreaterThanOrEqual(2, count($laid));
            self::assertSame($plant->nodes(), $done->plant->nodes() + $done->removed);
            foreach ($laid as $cut) {
                $cane = $done->plant->axes[(int) $cut->axis];
                self::assertSame($plant->season, $cane->born(), 'of last season');
                self::assertLessThanOrEqual(self::BUDS, $cane->nodes());
                self::assertGreaterThanOrEqual(5, $cane->nodes());
                self::assertEqualsWithDelta(87, $cane->leanDeg, 0.1);
                self::assertSame($plant->axes[$plant->stemOf($cane)]->azimuthDeg, $cane->azimuthDeg);
            }
            // What stands is the head, the canes, and spurs of two buds.
            $last = array_filter(
                $done->plant->axes, static fn (Axis $axis): bool => $axis->parent !== null
                    && $axis->born() === $plant->season,
            );
            $ids = array_map(static fn (Cut $cut): ?int => $cut->axis, $laid);
            foreach ($last as $id => $axis) {
                self::assertTrue(in_array($id, $ids, true) || $axis->nodes() <= 2, "$id has {$axis->nodes()} nodes");
            }
            self::assertLessThanOrEqual(2 * count($laid), count($last));
            foreach ($laid as $cut) {
                $heads[] = $done->plant->places()[(int) $cut->axis]->z;
            }
            $plant = Year::of($plant, $cuts)->plant;
        }
        self::assertLessThan(500, max(0, ...$heads) - min(INF, ...$heads), 'the head does not climb off its wire');
    }

    public function test_spurs_bear_canes_every_year_and_stay_close_to_their_arm(): void
    {
        $plant = $this->grown('grape-vine', 2);
        for ($year = 0; $year < 12; $year++) {
            $cuts = (new Canes($plant))->spurred(self::NODES);
            $left = Cutting::of($plant, $cuts)->plant;
            $spurs = array_filter($left->axes, static fn (Axis $axis): bool => $axis->born() === $plant->season
                && $axis->parent !== null);
            self::assertGreaterThanOrEqual(8, count($spurs), "year $year");
            foreach ($spurs as $id => $axis) {
                self::assertLessThanOrEqual(self::NODES, $axis->nodes());
                $foot = $left->places()[$id]->z - $left->places()[$left->stemOf($axis)]->z;
                self::assertLessThan(700, $foot, "year $year: it has crept out");
            }
            $plant = Year::of($plant, $cuts)->plant;
        }
    }

    public function test_where_no_cane_is_good_enough_none_is_taken(): void
    {
        $plant = $this->grown('grape-vine', 1);
        $none = array_filter($plant->axes, static fn (Axis $axis): bool => $axis->parent === null);
        self::assertSame([], (new Canes($plant->having($none)))->laidAnew(self::BUDS));
    }
}
