<?php

declare(strict_types=1);

namespace Tests\Core\Growth;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Growth\Axis;
use PruningHook\Core\Growth\Breaks;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Growth\Place;
use PruningHook\Core\Growth\Raising;
use PruningHook\Core\Growth\Rubs;
use PruningHook\Core\Growth\Year;
use PruningHook\Core\Structure\Clearance;
use PruningHook\Core\Structure\Stem;
use Tests\Support\Growing;

/** What every pruner knows of how plants answer. Common practice, no source, unless a test names one. */
final class HeldToTheTradeTest extends TestCase
{
    use Growing;

    public function test_a_level_cane_breaks_all_along_and_an_upright_one_at_its_top_only(): void
    {
        $breaks = new Breaks(self::habit('climber'));
        $cane = new Axis(0, null, -1, 90, 0, 0, 50, [2026 => 40], str_repeat(Axis::LIVE, 40));
        $along = static fn (float $lean): array => array_keys($breaks->along(
            $cane, new Place(0, 0, 0, 90, $lean, 0, 50), 0, 40,
        ));
        $upright = $along(5);
        $level = $along(88);
        self::assertGreaterThanOrEqual(2, count($upright));
        self::assertGreaterThan(24, min([40, ...$upright]), 'the lower 60 % sleeps');
        self::assertGreaterThan(1.5 * count($upright), count($level));
        // One about every 15 cm, from end to end.
        sort($level);
        self::assertLessThan(4, $level[0]);
        foreach (array_slice($level, 1) as $index => $node) {
            self::assertEqualsWithDelta(150, ($node - $level[$index]) * 50, 50);
        }
    }

    public function test_heading_at_one_height_makes_knuckles_of_thin_shoots_that_flower_above(): void
    {
        $plant = $this->grown('forsythia', 6);
        $stems = count($plant->stems());
        $above = static function (LivingPlant $plant): array {
            $shoots = [];
            foreach ($plant->axes as $id => $axis) {
                if ($axis->born() === $plant->season && ! $axis->isDead()
                    && $plant->pointOf($plant->places()[$id], $axis->nodes() - 1)[2] > 900) {
                    $shoots[] = LivingPlant::thickness($axis->nodes());
                }
            }

            return $shoots;
        };
        $first = Year::of($plant, [Cut::down(900)])->plant;
        $begun = $above($first);
        $year = null;
        $plant = $first;
        for ($season = 0; $season < 4; $season++) {
            $year = Year::of($plant, [Cut::down(900)]);
            $plant = $year->plant;
        }
        $shoots = $above($plant);
        self::assertGreaterThanOrEqual(4 * $stems, count($shoots));
        self::assertLessThan(0.6 * max([0, ...$begun]), self::median($shoots));
        // What has risen from the base since flowers from its foot up; all else, but for a twig here and there, above.
        $places = $plant->places();
        $heights = [];
        foreach (Year::of($plant)->bloom->at as [$axis, $node]) {
            if ($plant->axes[$axis]->parent !== null) {
                $heights[] = $plant->pointOf($places[$axis], $node)[2];
            }
        }
        $high = array_filter($heights, static fn (float $mm): bool => $mm > 750);
        self::assertGreaterThanOrEqual(0.9 * count($heights), count($high));
    }

    public function test_thirds_every_year_keep_it_young_and_its_flowers_steady(): void
    {
        $plant = $this->grown('forsythia', 8);
        $flowers = [];
        for ($season = 0; $season < 9; $season++) {
            $year = Year::of($plant, afterBloom: $this->thirds($plant));
            $flowers[] = $year->bloom->flowers;
            $plant = $year->plant;
        }
        $oldest = max([0, ...array_values(array_map($plant->ageOf(...), $plant->stems()))]);
        self::assertLessThanOrEqual($plant->kind->habit->turn, $oldest);
        $late = array_slice($flowers, -4);
        $mean = array_sum($late) / 4;
        foreach ($late as $each) {
            self::assertEqualsWithDelta($mean, $each, 0.15 * $mean, implode(', ', $flowers));
        }
    }

    public function test_left_alone_its_flowers_move_up_and_inner_wood_dies(): void
    {
        $plant = $this->grown('forsythia', 5);
        $heights = [];
        $first = $plant;
        for ($season = 0; $season < 8; $season++) {
            $year = Year::of($plant);
            $heights[] = $year->bloom->heightMm;
            $plant = $year->plant;
        }
        self::assertGreaterThan($heights[0] + 100, $heights[7]);
        $dead = static fn (LivingPlant $plant): int => count(array_filter(
            $plant->axes, static fn (Axis $axis): bool => $axis->isDead(),
        ));
        self::assertGreaterThan($dead($first), $dead($plant));
        $places = $plant->places();
        foreach ($plant->axes as $id => $axis) {
            if ($axis->isDead()) {
                self::assertLessThan(0.75 * $plant->heightMm(), $places[$id]->z, 'what dies is low and within');
            }
        }
    }

    public function test_old_wood_cut_in_winter_loses_its_flowers_in_proportion_and_after_bloom_none(): void
    {
        $plant = $this->grown('forsythia', 7);
        $whole = Year::of($plant)->bloom->flowers;
        $cuts = array_map(Cut::thin(...), array_slice(array_keys($plant->stems()), 0, 5));
        $last = static fn (LivingPlant $plant): int => array_sum(array_map(
            static fn (Axis $axis): int => $axis->ofSeason($plant->season)[1] - $axis->ofSeason($plant->season)[0],
            $plant->axes,
        ));
        $kept = $last(Cutting::of($plant, $cuts)->plant) / $last($plant);
        self::assertLessThan(0.95, $kept);
        self::assertEqualsWithDelta($kept, Year::of($plant, $cuts)->bloom->flowers / $whole, 0.12);
        self::assertSame($whole, Year::of($plant, afterBloom: $cuts)->bloom->flowers);
    }

    public function test_a_congested_currant_cut_by_two_thirds_rests_for_a_year_and_then_does_better(): void
    {
        $plant = $this->grown('blackcurrant', 14);
        $before = Year::of($plant)->bloom->flowers;
        // Two of every three, old and young.
        $stems = array_keys($plant->stems());
        $cuts = array_map(Cut::thin(...), array_values(array_filter(
            $stems, static fn (int $index): bool => $index % 3 !== 2, ARRAY_FILTER_USE_KEY,
        )));
        $year = Year::of($plant, $cuts);
        self::assertLessThanOrEqual(0.5 * $before, $year->bloom->flowers);
        self::assertGreaterThan($before, Year::of($year->plant)->bloom->flowers);
    }

    /** Growth before the flowers as the plant book has it from its sources; from a cut at 15 cm. */
    public function test_what_flowers_on_new_wood_flowers_at_its_height(): void
    {
        foreach ([
            'beautyberry' => [900, 150], 'sweet-pepperbush' => [600, 150], 'chaste-tree' => [1050, 150],
            'butterfly-bush' => [1650, 150],
        ] as $kind => [$height, $off]) {
            $year = Year::of($this->grown($kind, 8), [Cut::down(150)]);
            $tops = array_map(
                static fn (array $at): float => $year->summer->pointOf($year->summer->places()[$at[0]], $at[1])[2],
                $year->bloom->at,
            );
            // What leads is as tall as is said; what leans or came later stands below.
            self::assertEqualsWithDelta($height + 100, max([0, ...$tops]), 150 + $off, $kind);
        }
    }

    public function test_a_wisteria_nobody_cuts_in_summer_makes_whips_of_metres(): void
    {
        $plant = $this->grown('wisteria', 7, 'wall');
        $longest = 0;
        foreach (Year::of($plant)->summer->axes as $axis) {
            [$from, $to] = $axis->ofSeason($plant->season + 1);
            $longest = max($longest, ($to - $from) * $axis->internodeMm);
        }
        self::assertGreaterThan(1500, $longest);
        $again = Year::of($plant, summer: [Cut::shorten(null, 5)])->plant;
        foreach ($again->axes as $axis) {
            if ($axis->parent !== null) {
                self::assertLessThanOrEqual(5, $axis->nodes());
            }
        }
    }

    public function test_a_climber_without_its_mains_does_not_flower_that_year(): void
    {
        $plant = $this->grown('wisteria', 7, 'wall');
        self::assertGreaterThan(5, Year::of($plant)->bloom->flowers);
        self::assertSame(
            0.0, Year::of($plant, array_map(Cut::thin(...), array_keys($plant->stems())))->bloom->flowers,
        );
    }

    public function test_fruited_canes_die_and_new_ones_stand_beside_them(): void
    {
        $plant = $this->grown('raspberry-summer', 4);
        $canes = $plant->stems();
        self::assertNotSame([], $canes);
        $year = Year::of($plant);
        self::assertGreaterThan(0, $year->bloom->flowers);
        foreach (array_keys($canes) as $id) {
            self::assertTrue($year->plant->axes[$id]->isDead());
        }
        self::assertNotSame([], $year->plant->stems());
        self::assertGreaterThan(0, Year::of($year->plant)->bloom->flowers);
    }

    /** Common practice, no source: a fruiting cane grows no longer, its laterals are half a metre and less. */
    #[DataProvider('caneFruit')]
    public function test_a_cane_bears_short_laterals_in_its_second_summer_and_grows_no_longer(string $kind): void
    {
        $plant = $this->grown($kind, 4);
        $canes = $plant->stems();
        $tipped = array_map(static fn (Axis $cane): Cut => Cut::head($cane->id, $cane->nodes() - 4), $canes);
        foreach ([[], array_values($tipped)] as $cuts) {
            $stood = $cuts === [] ? $plant : Cutting::of($plant, $cuts)->plant;
            $grown = Year::of($plant, $cuts)->plant;
            $bears = 0;
            foreach ($grown->axes as $axis) {
                if (! isset($canes[$axis->parent])) {
                    continue;
                }
                $bears++;
                self::assertLessThanOrEqual(600, $axis->nodes() * $axis->internodeMm, 'a lateral');
            }
            self::assertGreaterThan(3, $bears);
            foreach (array_keys($canes) as $id) {
                self::assertSame($stood->axes[$id]->nodes(), $grown->axes[$id]->nodes());
            }
        }
    }

    /** @return iterable<array{string}> */
    public static function caneFruit(): iterable
    {
        yield ['raspberry-summer'];
        yield ['blackberry'];
    }

    /** Common practice, no source: a weeping head is grafted on a stem, hangs all round and is kept off the ground. */
    public function test_a_weeping_head_hangs_all_round_and_clear_of_the_ground(): void
    {
        $plant = $this->grown('ornamental-cherry', 9, 'weeping');
        $trunk = $plant->kind->habit->trunkMm;
        $sides = [];
        $lower = $all = 0;
        foreach ($plant->places() as $id => $place) {
            $axis = $plant->axes[$id];
            [$x, $y, $z] = $place->node($axis->nodes() - 1);
            self::assertGreaterThanOrEqual($axis->nodes() > 1 ? 300 : 200, $z, 'clear of the ground');
            $all++;
            $lower += $z < $trunk ? 1 : 0;
            if ($axis->parent === null) {
                $sides[intdiv((int) fmod(rad2deg(atan2($x, $y)) + 360, 360), 90)] = true;
                self::assertGreaterThan(90, $place->leanOf($axis->nodes() - 1), 'each limb hangs at its tip');
            }
        }
        self::assertCount(4, $sides);
        self::assertGreaterThan(0.4 * $all, $lower);
        // A taller one was grafted higher: it hangs no lower.
        $taller = $plant->scaledTo($plant->heightMm() + 900);
        self::assertEqualsWithDelta($plant->heightMm() + 900, $taller->heightMm(), 30);
        self::assertGreaterThanOrEqual(300, self::lowest($taller));
        $smaller = $plant->scaledTo($plant->heightMm() - 200);
        self::assertEqualsWithDelta($plant->heightMm() - 200, $smaller->heightMm(), 30);
        self::assertGreaterThanOrEqual(200, self::lowest($smaller));
        // Left free the same kind stands up.
        $free = $this->grown('ornamental-cherry', 9);
        foreach (array_keys($free->stems()) as $id) {
            self::assertLessThan(90, $free->places()[$id]->leanOf($free->axes[$id]->nodes() - 1));
        }
    }

    private static function lowest(LivingPlant $plant): float
    {
        $tips = [];
        foreach ($plant->places() as $id => $place) {
            $tips[] = $place->node($plant->axes[$id]->nodes() - 1)[2];
        }

        return min([INF, ...$tips]);
    }

    public function test_fewer_buds_make_longer_shoots_and_a_hard_cut_is_answered_strongly(): void
    {
        $plant = $this->grown('forsythia', 10);
        $longest = static function (Year $year): int {
            $nodes = [];
            foreach ($year->summer->axes as $axis) {
                [$from, $to] = $axis->ofSeason($year->summer->season);
                $nodes[] = $to - $from;
            }

            return max([0, ...$nodes]);
        };
        self::assertGreaterThan($longest(Year::of($plant)), $longest(Year::of($plant, [Cut::down(300)])));
        self::assertLessThanOrEqual($plant->kind->shootNodes, $longest(Year::of($plant, [Cut::down(300)])));
        // Nothing comes from old wood where the kind does not break from it.
        $lavender = $this->grown('lavender', 8);
        $bare = Cutting::of($lavender, [Cut::down(60)])->plant;
        foreach (Year::of($bare)->summer->axes as $axis) {
            $parent = $axis->born() > $bare->season ? $bare->axes[$axis->parent ?? -1] ?? null : null;
            if ($parent?->tip === Axis::HEADED) {
                self::assertSame($bare->season, $parent->seasonOf($parent->nodes() - 1));
            }
        }
    }

    public function test_rubs_foretold_of_a_survey_are_rubs_next_season(): void
    {
        // One rises on the north side; one leaves the crown on the south side and crosses over, short of it still.
        $stem = static fn (float $towards, float $lean, int $mm, ?float $from = null): array => [
            'azimuth_deg' => $towards, 'lean_deg' => $lean, 'length_mm' => $mm, 'age_years' => 3,
            'from_azimuth_deg' => $from,
        ];
        $survey = [$stem(0, 5, 1300), $stem(0, 10.6, 500, 180), $stem(90, 25, 900)];
        $foretold = (new Clearance(30, 300, 0.12))->rubs(array_map(
            static fn (array $stem, int $id): Stem => new Stem(
                (string) $id, $stem['azimuth_deg'], $stem['lean_deg'], $stem['length_mm'], 20, $stem['age_years'],
                fromAzimuthDeg: $stem['from_azimuth_deg'],
            ), $survey, array_keys($survey),
        ));
        self::assertCount(1, $foretold);
        self::assertSame(['0', '1'], [$foretold[0]->a, $foretold[0]->b]);
        $kind = $this->kind('forsythia');
        $plant = Raising::fromStems($kind, $survey, 2026, 'p1');
        $rubs = Rubs::of(Year::of($plant)->summer);
        self::assertSame([0, 1], array_slice($rubs[0] ?? [], 0, 2));
        foreach ($rubs as [$a, $b]) {
            self::assertNotSame([0, 2], [$a, $b]);
        }
    }

    /** @return list<Cut> a third of the stems, the oldest */
    private function thirds(LivingPlant $plant): array
    {
        $stems = $plant->stems();
        uasort($stems, static fn (Axis $a, Axis $b): int => [$a->born(), $a->id] <=> [$b->born(), $b->id]);

        return array_map(Cut::thin(...), array_slice(array_keys($stems), 0, (int) round(count($stems) / 3)));
    }

    /** @param  list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);

        return $values[intdiv(count($values), 2)];
    }
}
