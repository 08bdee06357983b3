<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Drawing\Bowl;
use PruningHook\Core\Drawing\Elevation;
use PruningHook\Core\Drawing\Mark;
use PruningHook\Core\Drawing\SideStem;
use PruningHook\Core\Drawing\Spot;
use PruningHook\Core\Drawing\VineArm;
use PruningHook\Core\Drawing\Wall;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\Plant\Taken;
use PruningHook\Core\Structure\Clearance;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\StemJudge;
use PruningHook\Core\Structure\StemPlan;
use PruningHook\Core\Structure\Survey;
use Tests\Support\Prescribing;
use Tests\Support\TestAim;
use Tests\Support\TestBook;

/** The geometry of the drawings, in mm. */
final class PicturesTest extends TestCase
{
    use Prescribing;

    public function test_the_elevation_is_to_scale_and_cut_where_it_is_prescribed(): void
    {
        $e = $this->elevation(
            new Plant('p', 'bluebeard', heightMm: 950, spreadMm: 800, floweringHeightMm: 1100),
            'spring-cut',
        );
        self::assertSame(350, $e->cutMm);
        self::assertSame(1100, $e->flowersMm);
        self::assertEqualsWithDelta(950, max(array_column($e->ghost, 'y')), 1);
        self::assertEqualsWithDelta(350, max(array_column($e->after, 'y')), 1);
        self::assertEqualsWithDelta(
            800, max(array_column($e->ghost, 'x')) - min(array_column($e->ghost, 'x')), 1,
        );
        foreach ($e->stems as $stem) {
            self::assertLessThanOrEqual(350.1, $stem->keep->y, 'nothing above the cut is drawn as kept');
        }
        foreach ($e->ticks as $tick) {
            self::assertEqualsWithDelta(350, $tick->at->y, 0.1);
            self::assertSame(0.0, $tick->angle, 'opposite buds are cut straight across');
        }
        self::assertSame(
            [0.0, 250.0, 500.0, 750.0, 1000.0], array_map(static fn (Mark $mark): float => $mark->at, $e->measure),
        );
    }

    public function test_a_season_of_the_record_is_drawn_as_it_stood_and_as_it_was_left(): void
    {
        $first = new Taken(old: 1, any: 1);
        $taken = $first->then(new Taken(heightMm: 1200, young: 1))->then(new Taken);
        self::assertSame([3, 1200], [$taken->stems(), $taken->heightMm]);
        $e = Elevation::ofRecord(TestBook::read()->kind('bluebeard'), 1800, null, $taken, null);
        self::assertEqualsWithDelta(1800, max(array_column($e->ghost, 'y')), 1);
        self::assertEqualsWithDelta(1200, max(array_column($e->after, 'y')), 1);
        self::assertCount(3, array_filter($e->stems, static fn (SideStem $stem): bool => $stem->goes()));
        self::assertSame('1.8 m tall and 1.44 m wide as it stood; cut at 1.2 m; 3 stems out at the base', $e->says);
        // What was left as tall as it stood was not brought down.
        $taller = Elevation::ofRecord(TestBook::read()->kind('bluebeard'), 900, 700, new Taken(heightMm: 900), null);
        self::assertNull($taller->cutMm);
    }

    public function test_another_cut_height_moves_line_and_flowers_together(): void
    {
        $plant = new Plant('p', 'bluebeard', heightMm: 950, floweringHeightMm: 1100);
        $e = Elevation::of($plant, TestBook::read()->kind('bluebeard'), $this->task($plant, 'spring-cut'), 450);
        self::assertSame([450, 1200], [$e->cutMm, $e->flowersMm]);
    }

    public function test_stems_that_go_are_numbered_and_leave_at_the_base(): void
    {
        $e = $this->elevation(
            new Plant('p', 'forsythia', heightMm: 2300, stems: StemCount::of(9, 3)),
            'after-flowering',
        );
        $going = array_filter($e->stems, static fn (SideStem $stem): bool => $stem->goes());
        self::assertCount(3, $going);
        $orders = array_map(static fn (SideStem $stem): ?int => $stem->order, $going);
        sort($orders);
        self::assertSame([1, 2, 3], $orders);
        foreach ($going as $stem) {
            self::assertSame(0.0, $stem->line->y1);
        }
        self::assertStringContainsString('3 stems out at the base', $e->says);
    }

    public function test_a_cleared_stem_has_its_line(): void
    {
        $e = $this->elevation(new Plant('p', 'lime', heightMm: 6000, aim: 'clear-stem'), 'winter-structure');
        self::assertSame(1900, $e->clearMm);
        self::assertEqualsWithDelta(1900, min(array_column($e->ghost, 'y')), 1, 'the crown begins there');
    }

    public function test_a_wall_has_its_wires_arms_laterals_and_buds(): void
    {
        $plant = new Plant('p', 'wisteria', heightMm: 3000, spreadMm: 4000, form: 'wall');
        $kind = TestBook::read()->kind('wisteria');
        self::assertTrue(Wall::isOn($plant, $kind));
        $wall = Wall::of($plant, $kind, $this->task($plant, 'winter-pass'), TestBook::read()->figures);
        self::assertSame([450.0, 750.0, 1050.0], array_slice($wall->wires, 0, 3));
        self::assertCount(1 + 2 * count($wall->wires), $wall->mains, 'a trunk, and an arm to each side of every wire');
        foreach ($wall->laterals as $lateral) {
            self::assertCount(2, $lateral->buds);
            self::assertLessThanOrEqual(4000 + 200, $lateral->line->x2);
        }
        self::assertFalse(Wall::isOn(new Plant('p', 'lilac'), TestBook::read()->kind('lilac')));
    }

    public function test_a_climbing_rose_is_a_fan_of_its_mains(): void
    {
        $plant = new Plant('p', 'climbing-rose', heightMm: 2800, form: 'trellis');
        $wall = Wall::of(
            $plant, TestBook::read()->kind('climbing-rose'), $this->task($plant, 'prune-and-train'),
            TestBook::read()->figures,
        );
        self::assertCount(5, $wall->mains);
        // A tie about every 45 cm of each main.
        self::assertGreaterThan(5 * 4, count($wall->ties));
    }

    public function test_a_fan_has_ribs_and_a_cordon_one_stem_aslant(): void
    {
        $wall = fn (string $kind, string $form, string $task): Wall => Wall::of(
            new Plant('p', $kind, heightMm: 2200, spreadMm: 3000, form: $form), TestBook::read()->kind($kind),
            $this->task(new Plant('p', $kind, heightMm: 2200, spreadMm: 3000, form: $form), $task),
            TestBook::read()->figures,
        );
        self::assertCount(8, $wall('sour-cherry', 'fan', 'after-cropping')->mains);
        $cordon = $wall('apple-espalier', 'cordon', 'summer-pass')->mains;
        self::assertCount(1, $cordon);
        self::assertEqualsWithDelta($cordon[0]->y2, $cordon[0]->x2 - $cordon[0]->x1, 0.1, 'at 45 degrees');
        self::assertGreaterThan(2, count($wall('apple-espalier', 'espalier', 'summer-pass')->mains));
    }

    public function test_a_vines_arm_shows_both_passes_and_the_insurance(): void
    {
        $plant = new Plant('p', 'grape-vine');
        $arm = VineArm::of($this->task($plant, 'rough-pass'), $this->task($plant, 'final-pass'));
        self::assertSame([7, 3], [$arm->roughNodes, $arm->finalNodes]);
        self::assertCount(14, $arm->canes, 'seven places, a cane and a spare at each');
        foreach ($arm->canes as $cane) {
            self::assertCount(7, $cane->nodes);
            // A node about every 7.5 cm: common practice, no source.
            self::assertEqualsWithDelta(75, $cane->nodes[1]->y - $cane->nodes[0]->y, 0.01);
            self::assertSame($cane->insurance, $cane->final === null, 'the spare comes out whole');
            if ($cane->final !== null) {
                self::assertSame(
                    3,
                    count(
                        array_filter($cane->nodes, static fn (Spot $node): bool => $node->y < $cane->final->y),
                    ),
                );
            }
        }
    }

    public function test_the_bowl_puts_north_up_and_tells_what_goes(): void
    {
        $stems = [
            Stem::of('n', 0, 30, 1000, 15, 2), Stem::of('e', 90, 30, 1000, 15, 2),
            Stem::of('s', 180, 30, 1000, 15, 6, [StemFault::Dead]), Stem::of('w', 270, 30, 1000, 15, 2),
        ];
        $survey = Survey::of($stems);
        $judge = StemJudge::with(new Clearance(110, 300, .12));
        $bowl = Bowl::of($survey, $judge->judge($survey, TestAim::of(StemPlan::Bowl, 3, 4, 5, 75, 'x')));
        self::assertLessThan(0, $bowl->spokes[0]->line->y2, 'north is up, and y grows downwards');
        self::assertGreaterThan(0, $bowl->spokes[1]->line->x2);
        self::assertSame(
            ['keep', 'keep', 'cut', 'keep'],
            array_map(static fn ($spoke): string => $spoke->kind, $bowl->spokes),
        );
        self::assertSame(1, $bowl->spokes[2]->order);
        // 500 mm out, and the crown's radius.
        self::assertEqualsWithDelta(500 + Clearance::crown($stems), $bowl->spokes[1]->line->x2, 0.1);
        self::assertStringContainsString('3 stems stay, 1 goes', $bowl->says);
        $label = $bowl->spokes[1]->label($bowl->reach);
        self::assertTrue(
            $label->x > $bowl->spokes[1]->line->x2 && $label->x < $bowl->reach,
            'the name stands beyond the tip and in the picture',
        );
        $south = $bowl->spokes[2];
        self::assertGreaterThan($south->line->y1, $south->seal()->y, 'the number stands on the spoke');
    }

    private function elevation(Plant $plant, string $task): Elevation
    {
        return Elevation::of($plant, TestBook::read()->kind($plant->kind), $this->task($plant, $task));
    }
}
