<?php

declare(strict_types=1);

namespace Tests\Core\Growth;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Fault;
use PruningHook\Core\Growth\Axis;
use PruningHook\Core\Growth\FittedSurvey;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Growth\Year;
use Tests\Support\Growing;

/** Surveyed stems laid into a plant stand where, and are as long and as old as, somebody saw them. */
final class FittedSurveyTest extends TestCase
{
    use Growing;

    private function laid(string $kind, float $leanDeg, int $lengthMm, ?int $ageYears): LivingPlant
    {
        return FittedSurvey::of($this->grown($kind, 8), [[
            'azimuth_deg' => 90.0, 'lean_deg' => $leanDeg, 'length_mm' => $lengthMm, 'age_years' => $ageYears,
        ]]);
    }

    /** The bend of its kind does not carry its tip elsewhere than it was seen. */
    #[TestWith(['forsythia'])]
    #[TestWith(['bush-rose'])]
    #[TestWith(['crape-myrtle'])]
    public function test_the_lean_is_from_foot_to_tip(string $kind): void
    {
        $plant = $this->laid($kind, 40.0, 1200, 3);
        $stem = array_values($plant->stems())[0];
        $place = $plant->places()[$stem->id];
        [$x, $y, $z] = $place->node($stem->nodes() - 1);
        [$footX, , $footZ] = $place->node(-1);
        self::assertEqualsWithDelta(40.0, rad2deg(atan2($x - $footX, $z - $footZ)), 1.0);
        self::assertEqualsWithDelta(0.0, $y, 1.0, 'it goes east');
        self::assertEqualsWithDelta(1200, hypot($x - $footX, $z - $footZ), 60);
    }

    #[TestWith(['forsythia'])]
    #[TestWith(['bush-rose'])]
    #[TestWith(['blackcurrant'])]
    public function test_it_is_as_old_as_it_was_seen_and_nothing_on_it_is_older(string $kind): void
    {
        foreach ([1, 2, 4, 8] as $age) {
            $plant = $this->laid($kind, 20.0, 1000, $age);
            $stem = array_values($plant->stems())[0];
            self::assertSame($age, $plant->ageOf($stem), "$kind of $age");
            foreach ($plant->axes as $axis) {
                self::assertSame($axis->nodes(), array_sum($axis->grown));
                if ($axis->parent !== null) {
                    $bud = $plant->axes[$axis->parent]->seasonOf($axis->node);
                    self::assertGreaterThanOrEqual($bud, $axis->born(), 'a branch is no older than its bud');
                }
            }
        }
    }

    /** @throws Fault */
    public function test_this_years_stem_is_bare_and_all_its_buds_are_still_to_break(): void
    {
        $plant = $this->laid('forsythia', 20.0, 1000, 1);
        self::assertCount(1, $plant->axes);
        self::assertStringNotContainsString(Axis::BROKEN, array_values($plant->axes)[0]->buds);
    }

    public function test_what_grows_from_it_reaches_little_farther_than_its_end(): void
    {
        foreach (['bush-rose', 'forsythia', 'butterfly-bush'] as $kind) {
            $plant = $this->laid($kind, 20.0, 1000, 6);
            $places = $plant->places();
            foreach ($plant->axes as $id => $axis) {
                [$x, $y, $z] = $places[$id]->node($axis->nodes() - 1);
                self::assertLessThan(1000 * 1.15 + 60, sqrt($x ** 2 + $y ** 2 + $z ** 2), $kind);
            }
        }
    }

    public function test_it_is_as_thick_as_it_was_measured_and_thickens_as_it_grows(): void
    {
        $stem = ['azimuth_deg' => 90.0, 'lean_deg' => 20.0, 'length_mm' => 1000, 'age_years' => 3];
        $plant = FittedSurvey::of($this->grown('forsythia', 8), [
            [...$stem, 'base_mm' => 18], [...$stem, 'base_mm' => 36], $stem,
        ]);
        $foot = static function (LivingPlant $plant, int $index): float {
            $id = array_keys($plant->stems())[$index];

            return $plant->thickAt($plant->axes[$id], $plant->pipes()[$id]);
        };
        self::assertEqualsWithDelta(18.0, $foot($plant, 0), 0.01);
        self::assertEqualsWithDelta(36.0, $foot($plant, 1), 0.01);
        $next = Year::of($plant)->plant;
        self::assertGreaterThan(18.0, $foot($next, 0));
        self::assertEqualsWithDelta($foot($next, 1) / $foot($next, 0), 2.0, 0.5, 'the thicker one stays the thicker');
        // Nobody measured the third: the model says.
        self::assertSame(
            $foot(FittedSurvey::of($this->grown('forsythia', 8), [$stem]), 0), $foot($plant, 2),
        );
    }
}
