<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Drawing\Limb;
use PruningHook\Core\Drawing\Mark;
use PruningHook\Core\Drawing\Portrait;
use PruningHook\Core\Drawing\Seal;
use PruningHook\Core\Drawing\Spot;
use PruningHook\Core\Drawing\Tick;
use PruningHook\Core\Drawing\View;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Regrowth\CutTime;
use PruningHook\Core\Regrowth\Future;
use PruningHook\Core\Regrowth\Stage;
use Tests\Support\Growing;
use Tests\Support\Prescribing;

/** A picture to scale is a measure: where things stand in it, in mm, follows from the plant that is drawn. */
final class PortraitTest extends TestCase
{
    use Growing;
    use Prescribing;

    public function test_it_is_as_tall_and_as_wide_as_the_plant(): void
    {
        $plant = $this->grown('forsythia', 7)->scaledTo(2000);
        $portrait = Portrait::alone(new Stage($plant, null, null, 0));
        $spots = array_merge(...array_map(static fn (Limb $limb): array => $limb->spine, $portrait->limbs));
        // An arch stands highest in its middle.
        self::assertEqualsWithDelta(2000, max([0.0, ...array_column($spots, 'y')]), 40);
        self::assertSame(2160, $portrait->height);
        self::assertEqualsWithDelta(
            Portrait::reach($plant), max([0.0, ...array_map(abs(...), array_column($spots, 'x'))]), 25,
        );
        self::assertSame([-intdiv($portrait->width, 2), 0], [$portrait->left, $portrait->bottom]);
        self::assertSame(
            [0.0, 500.0, 1000.0, 1500.0, 2000.0],
            array_map(static fn (Mark $mark): float => $mark->at, $portrait->measure),
        );
        self::assertTrue($portrait->hasPerson);
        self::assertFalse(Portrait::alone(new Stage($plant->scaledTo(900), null, null, 0))->hasPerson);
    }

    public function test_what_stands_above_the_cut_goes_and_a_tick_and_a_bud_are_below_it(): void
    {
        $plant = $this->grown('butterfly-bush', 4)->scaledTo(2200);
        $cuts = [Cut::down(500)];
        $left = Cutting::of($plant, $cuts)->plant;
        $portrait = Portrait::alone(new Stage($plant, $left, null, 0, $cuts));
        foreach ($portrait->limbs as $limb) {
            $tip = $limb->spine[count($limb->spine) - 1];
            if (abs($tip->y - 500) > 45) {
                self::assertSame($limb->goes, $tip->y > 500, "$limb->axis at $tip->y");
            }
        }
        self::assertNotSame([], $portrait->marks->ticks);
        foreach ($portrait->marks->ticks as $tick) {
            self::assertEqualsWithDelta(450, $tick->at->y, 80, 'just below, above the last node that stays');
        }
        self::assertLessThanOrEqual(500, max([0.0, ...array_column($portrait->marks->buds, 'y')]));
        self::assertStringContainsString('no whole stem goes, and it is left', $portrait->says);
        self::assertSame([], Portrait::alone(new Stage($plant, null, null, 0))->marks->ticks);
    }

    /** Above a pair of buds a cut runs straight across, above a single one aslant. Common practice, no source. */
    public function test_cuts_slant_where_buds_stand_singly(): void
    {
        $slants = function (string $kind): array {
            $plant = $this->grown($kind, 3);
            $id = array_key_first($plant->stems());
            $cuts = [Cut::head((int) $id, 4)];
            $stage = new Stage($plant, Cutting::of($plant, $cuts)->plant, null, 0, $cuts);
            $place = $plant->places()[(int) $id];
            [$x, , $z] = $place->node(4);
            [$overX, , $overZ] = $place->node(4.6);
            $upright = 90 - rad2deg(atan2($overZ - $z, $overX - $x));

            return array_map(
                static fn (Tick $tick): float => round($tick->angle - $upright, 0),
                Portrait::alone($stage)->marks->ticks,
            );
        };
        self::assertSame([0.0], $slants('forsythia'), 'opposite');
        self::assertSame([30.0], $slants('bush-rose'), 'alternate');
    }

    public function test_stems_that_go_carry_their_order_where_it_can_be_read(): void
    {
        $plant = $this->grown('forsythia', 8);
        $cuts = array_map(Cut::thin(...), array_slice(array_keys($plant->stems()), 0, 4));
        $portrait = Portrait::alone(new Stage($plant, Cutting::of($plant, $cuts)->plant, null, 0, $cuts));
        $numbers = array_map(static fn (Seal $seal): int => $seal->number, $portrait->marks->seals);
        self::assertSame([1, 2, 3, 4], $numbers);
        $apart = max($portrait->width, $portrait->height) / 17;
        foreach ($portrait->marks->seals as $index => $seal) {
            foreach (array_slice($portrait->marks->seals, $index + 1) as $other) {
                self::assertGreaterThanOrEqual(
                    $apart, hypot($seal->at->x - $other->at->x, $seal->at->y - $other->at->y),
                );
            }
        }
        self::assertStringContainsString('4 stems go whole', $portrait->says);
        $one = Cutting::of($plant, [$cuts[0]])->plant;
        self::assertStringContainsString('one stem goes whole', Portrait::alone(
            new Stage($plant, $one, null, 0, [$cuts[0]]),
        )->says);
    }

    /** Twelve twigs of one crown: there is no room on their wood, and each can be read all the same. */
    public function test_numbers_without_room_stand_beside_their_wood_each_by_itself(): void
    {
        $plant = $this->grown('crape-myrtle', 9);
        $bearing = array_map(static fn ($axis): ?int => $axis->parent, $plant->axes);
        $twigs = array_values(array_diff(array_keys($plant->axes), array_filter($bearing, is_int(...))));
        $cuts = array_map(Cut::thin(...), array_slice($twigs, 0, 12));
        $portrait = Portrait::alone(new Stage($plant, Cutting::of($plant, $cuts)->plant, null, 0, $cuts));
        $seals = $portrait->marks->seals;
        self::assertSame(range(1, 12), array_map(static fn (Seal $seal): int => $seal->number, $seals));
        $apart = max($portrait->width, $portrait->height) / 17;
        $aside = 0;
        foreach ($seals as $index => $seal) {
            self::assertLessThan($portrait->width / 2, abs($seal->at->x), 'within the picture');
            self::assertLessThan($portrait->height, $seal->at->y);
            self::assertLessThanOrEqual(
                3.1 * $apart + 0.001, hypot($seal->at->x - $seal->cut->x, $seal->at->y - $seal->cut->y),
                'near its wood',
            );
            $aside += $seal->isAside() ? 1 : 0;
            foreach (array_slice($seals, $index + 1) as $other) {
                self::assertGreaterThanOrEqual(
                    $apart, hypot($seal->at->x - $other->at->x, $seal->at->y - $other->at->y),
                );
            }
        }
        self::assertGreaterThan(0, $aside);
    }

    public function test_of_many_cuts_only_whole_stems_are_numbered(): void
    {
        $plant = $this->grown('forsythia', 8);
        $branches = array_keys(array_filter($plant->axes, static fn ($axis): bool => $axis->parent !== null));
        $cuts = [
            ...array_map(Cut::thin(...), array_slice(array_reverse($branches), 0, 20)),
            Cut::thin((int) array_key_first($plant->stems())),
        ];
        $marks = Portrait::alone(new Stage($plant, Cutting::of($plant, $cuts)->plant, null, 0, $cuts))->marks;
        self::assertSame([1], array_map(static fn (Seal $seal): int => $seal->number, $marks->seals), 'no gap');
    }

    public function test_numbers_are_those_of_the_list_beside(): void
    {
        $plant = $this->grown('forsythia', 8);
        $branches = array_keys(array_filter($plant->axes, static fn ($axis): bool => $axis->parent !== null));
        $stems = array_keys($plant->stems());
        $cuts = array_map(Cut::thin(...), [...array_slice(array_reverse($branches), 0, 20), $stems[0], $stems[1]]);
        $left = Cutting::of($plant, $cuts)->plant;
        $numbers = static fn (Stage $stage): array => array_map(
            static fn (Seal $seal): int => $seal->number, Portrait::alone($stage)->marks->seals,
        );
        // Twenty in one step, which stands at the first of them, and two more: three are few.
        self::assertSame([1, 2, 3], $numbers(
            new Stage($plant, $left, null, 0, $cuts, numbers: [...array_fill(0, 20, 1), 2, 3]),
        ));
        self::assertSame([21, 22], $numbers(new Stage($plant, $left, null, 0, $cuts, numbers: range(1, 22))));
        self::assertSame([1, 2], $numbers(new Stage($plant, $left, null, 0, $cuts)));
    }

    public function test_trained_plants_have_their_wires_and_are_tied_where_a_main_crosses_one(): void
    {
        $fan = Portrait::alone(new Stage($this->grown('fig', 5, 'fan'), null, null, 0));
        self::assertSame([200, 400, 600], array_slice($fan->trained->wires, 0, 3));
        self::assertGreaterThan(6, count($fan->trained->ties), 'six ribs, each over more than one wire');
        foreach ($fan->trained->ties as $tie) {
            self::assertLessThan(80, min([INF, ...array_map(
                static fn (int $wire): float => abs($wire - $tie->y), $fan->trained->wires,
            )]));
        }
        $espalier = $this->grown('apple-espalier', 5, 'espalier');
        $tiers = array_unique(array_map(
            static fn ($stem): float => $espalier->places()[$stem->id]->z, $espalier->stems(),
        ));
        self::assertSame([450.0, 800.0, 1150.0], array_values($tiers), 'three tiers, an arm to either side');
        $wires = Portrait::alone(new Stage($espalier, null, null, 0))->trained->wires;
        self::assertSame([450, 800, 1150], array_slice($wires, 0, 3));
        $cordon = $this->grown('apple-espalier', 5, 'cordon')->stems();
        self::assertSame([45.0], array_map(static fn ($stem): float => $stem->leanDeg, array_values($cordon)));
        self::assertSame([], Portrait::alone(new Stage($this->grown('lilac', 4), null, null, 0))->trained->wires);
    }

    public function test_a_vines_arm_is_near_enough_to_count_the_buds_that_stay(): void
    {
        $task = $this->task(new Plant('p', 'grape-vine'), 'final-pass');
        $vine = $this->grown('grape-vine', 6);
        $stage = Future::cut($vine, $task, CutTime::Winter);
        $arm = Portrait::arm($stage);
        self::assertSame([180, 750, 900, 675], [$arm->left, $arm->bottom, $arm->width, $arm->height]);
        self::assertLessThan(count(Portrait::alone($stage)->limbs), count($arm->limbs));
        $spurs = array_filter(
            $stage->left->axes ?? [],
            static fn ($axis): bool => $axis->parent !== null && $axis->nodes() <= 3
                && $vine->axes[$axis->id]->nodes() > $axis->nodes(),
        );
        self::assertNotSame([], $spurs);
        $places = $vine->places();
        $inSight = 0;
        foreach ($spurs as $id => $axis) {
            for ($node = 0; $node < $axis->nodes(); $node++) {
                [$x, , $z] = $places[$id]->node($node);
                $inSight += $x > 180 && $x < 1080 && $z > 750 && $z < 1425 ? 1 : 0;
            }
        }
        self::assertGreaterThan(8, $inSight);
        self::assertCount($inSight, $arm->marks->buds, 'three nodes of each spur in sight, every one counted');
        foreach ([...$arm->marks->ticks, ...$arm->marks->seals] as $mark) {
            self::assertTrue($mark->at->x > 180 && $mark->at->x < 1080, 'none beside the picture');
        }
    }

    #[DataProvider('views')]
    public function test_it_is_looked_at_from_three_sides(View $view, int $right, int $up): void
    {
        $plant = $this->grown('forsythia', 4);
        $portrait = Portrait::alone(new Stage($plant, null, null, 0), $view);
        $stem = (int) array_key_first($plant->stems());
        $foot = $plant->places()[$stem]->node(-1);
        $drawn = array_values(array_filter($portrait->limbs, static fn (Limb $limb): bool => $limb->axis === $stem));
        self::assertContainsEquals(
            new Spot($foot[$right], $foot[$up]), array_map(static fn (Limb $limb): Spot => $limb->spine[0], $drawn),
        );
        self::assertSame($view === View::Above, $portrait->measure === []);
        self::assertSame($view === View::Above ? -intdiv($portrait->height, 2) : 0, $portrait->bottom);
        self::assertStringStartsWith('from', $view->inWords());
    }

    /** @return iterable<string, array{View, int, int}> the axes that go to the right and up: x east, y north, z up */
    public static function views(): iterable
    {
        yield 'from the south' => [View::South, 0, 2];
        yield 'from the east' => [View::East, 1, 2];
        yield 'from above' => [View::Above, 0, 1];
    }

    public function test_dead_canes_stand_in_the_picture_too(): void
    {
        $canes = $this->grown('raspberry-summer', 4);
        self::assertGreaterThan($canes->heightMm(), Portrait::top($canes), 'what fruited is dead, and the tallest');
        $portrait = Portrait::alone(new Stage($canes, null, null, 0));
        $spots = array_merge(...array_map(static fn (Limb $limb): array => $limb->spine, $portrait->limbs));
        self::assertLessThan($portrait->height, max([0.0, ...array_column($spots, 'y')]));
    }

    public function test_the_nearest_is_drawn_last(): void
    {
        $plant = $this->grown('forsythia', 4);
        $north = static fn (LivingPlant $plant, View $view): array => array_map(
            static fn (Limb $limb): float => $view->project(
                $plant->places()[(int) $limb->axis]->node(-1),
            )[2],
            array_values(array_filter(
                Portrait::alone(new Stage($plant, null, null, 0), $view)->limbs,
                static fn (Limb $limb): bool => $limb->axis !== null && $plant->axes[$limb->axis]->parent === null
                    && count($plant->axes[$limb->axis]->grown) === 1,
            )),
        );
        foreach ([View::South, View::East] as $view) {
            $depths = $north($plant, $view);
            $sorted = $depths;
            rsort($sorted);
            self::assertSame($sorted, $depths);
        }
    }

    public function test_hedges_and_domes_are_seen_as_a_mass_that_shrinks_with_the_cut(): void
    {
        $hedge = $this->grown('box-hedge', 6);
        $task = $this->task(new Plant('p', 'box-hedge'), 'first-trim');
        $whole = Portrait::alone(new Stage($hedge, null, null, 0))->mass;
        $cut = Portrait::alone(Future::cut($hedge, $task, CutTime::Winter))->mass;
        self::assertGreaterThan(4, count($whole));
        self::assertGreaterThan(max([0.0, ...array_column($cut, 'y')]), max([0.0, ...array_column($whole, 'y')]));
        self::assertEqualsWithDelta($hedge->heightMm(), max([0.0, ...array_column($whole, 'y')]), 1);
        self::assertSame([], Portrait::alone(new Stage($this->grown('forsythia', 4), null, null, 0))->mass);
    }

    public function test_the_flowers_of_a_stage_are_drawn_and_their_height_is_told(): void
    {
        $plant = $this->grown('butterfly-bush', 5);
        $stage = Future::left($plant, CutTime::Winter)->stages['bloom'];
        $portrait = Portrait::alone($stage);
        self::assertSame($stage->bloom?->topMm, $portrait->flowersMm);
        self::assertGreaterThanOrEqual($stage->bloom?->heightMm, $portrait->flowersMm);
        self::assertLessThanOrEqual($stage->plant->heightMm(), $portrait->flowersMm);
        self::assertNotSame([], $portrait->flowers);
        self::assertStringContainsString('its flowers stand up to about', $portrait->says);
        self::assertNull(Portrait::alone($stage, View::Above)->flowersMm, 'a height is not seen from above');
    }
}
