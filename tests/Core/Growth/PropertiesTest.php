<?php

declare(strict_types=1);

namespace Tests\Core\Growth;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Fault;
use PruningHook\Core\Growth\Axis;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Growth\Raising;
use PruningHook\Core\Growth\Year;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Growing;

/** What holds of every plant and every cut, whatever they are. */
final class PropertiesTest extends TestCase
{
    use Growing;

    /** @return iterable<string, array{string, ?string}> at least one of each build */
    public static function plants(): iterable
    {
        foreach ([
            'forsythia' => null, 'crape-myrtle' => null, 'apple' => null, 'bush-rose' => null, 'wisteria' => 'wall',
            'raspberry-summer' => null, 'grape-vine' => null, 'plum' => 'fan', 'lavender' => null,
            'miscanthus' => null, 'box-hedge' => 'hedge', 'redcurrant' => 'standard', 'pear-espalier' => 'espalier',
            'ornamental-cherry' => 'weeping',
        ] as $kind => $form) {
            yield $kind => [$kind, $form];
        }
    }

    #[DataProvider('plants')]
    public function test_no_cut_adds_wood_and_what_went_and_what_stands_is_what_was(string $kind, ?string $form): void
    {
        $dice = new Randomizer(new Mt19937(7));
        $plant = $this->grown($kind, 5, $form);
        for ($round = 0; $round < 40; $round++) {
            $cut = self::cut($plant, $dice);
            $before = $plant->nodes();
            $done = Cutting::of($plant, [$cut]);
            self::assertGreaterThanOrEqual(0, $done->removed);
            self::assertSame($before, $done->plant->nodes() + $done->removed, $cut->does);
            self::assertSame([], array_diff_key($done->plant->axes, $plant->axes));
            self::whole($done->plant);
            // Each is tried on the plant as it stood, and some are kept, so that cuts fall on cut wood too.
            $plant = $dice->getInt(0, 3) === 0 && $done->plant->axes !== [] ? $done->plant : $plant;
        }
    }

    #[DataProvider('plants')]
    public function test_the_same_plant_grows_the_same(string $kind, ?string $form): void
    {
        self::assertEquals($this->grown($kind, 4, $form), $this->grown($kind, 4, $form));
        $year = Year::of($this->grown($kind, 4, $form), [Cut::down(400)]);
        self::assertEquals($year, Year::of($this->grown($kind, 4, $form), [Cut::down(400)]));
    }

    #[DataProvider('plants')]
    public function test_mirror_and_turn_change_nothing(string $kind, ?string $form): void
    {
        $plant = $this->grown($kind, 4, $form);
        $told = static fn (LivingPlant $plant): array => [
            $plant->nodes(), $plant->living(), $plant->heightMm(), count($plant->axes),
            array_values(array_map(static fn (Axis $axis): string => "$axis->buds $axis->tip", $plant->axes)),
        ];
        foreach ([$plant->turned(73), $plant->turned(0, true), $plant->turned(250, true)] as $other) {
            self::assertSame($told($plant), $told($other));
            $ours = Year::of($plant, [Cut::down(700)]);
            $theirs = Year::of($other, [Cut::down(700)]);
            self::assertSame($told($ours->plant), $told($theirs->plant));
            self::assertEqualsWithDelta($ours->bloom->flowers, $theirs->bloom->flowers, 1e-9);
            self::assertSame($ours->bloom->heightMm, $theirs->bloom->heightMm);
        }
        // Grown and then turned, or turned and then grown, each shoot goes the same way.
        $grown = Year::of($plant)->plant->turned(73);
        $turned = Year::of($plant->turned(73))->plant;
        foreach ($grown->axes as $id => $axis) {
            $off = deg2rad($axis->azimuthDeg - $turned->axes[$id]->azimuthDeg);
            self::assertEqualsWithDelta(0, sin($off / 2), 1e-9);
        }
    }

    #[DataProvider('plants')]
    public function test_thickness_grows_from_the_tips_down(string $kind, ?string $form): void
    {
        $plant = Year::of($this->grown($kind, 5, $form), [Cut::down(500)])->plant;
        $pipes = $plant->pipes();
        foreach ($plant->axes as $id => $axis) {
            if ($axis->parent !== null) {
                self::assertGreaterThan($pipes[$id], $pipes[$axis->parent]);
            }
        }
        self::assertGreaterThan(0, LivingPlant::thickness(1));
    }

    public function test_what_cannot_be_cut_is_told(): void
    {
        $plant = $this->grown('forsythia', 4);
        $first = array_key_first($plant->stems());
        $gone = Cutting::of($plant, [Cut::thin((int) $first)])->plant;
        foreach ([
            [Cut::thin((int) $first), 'is not there any more'],
            [Cut::head((int) array_key_last($gone->axes), 900), 'cannot be headed above node 900'],
        ] as [$cut, $says]) {
            try {
                Cutting::of($gone, [$cut]);
                self::fail($says);
            } catch (Fault $fault) {
                self::assertStringContainsString($says, $fault->getMessage());
            }
        }
        foreach ([fn () => Cut::down(0), fn () => Cut::shorten(null, 0), fn () => Cut::raise(-1)] as $cut) {
            try {
                $cut();
                self::fail('taken');
            } catch (Fault) {
                self::addToAssertionCount(1);
            }
        }
        $this->expectException(Fault::class);
        Raising::of($plant->kind, 0, 2026, 'p1');
    }

    public function test_a_plant_is_drawn_to_the_height_that_was_measured(): void
    {
        $plant = $this->grown('forsythia', 6);
        foreach ([800, 1500, 3000] as $height) {
            self::assertEqualsWithDelta($height, $plant->scaledTo($height)->heightMm(), 0.06 * $height);
            self::assertSame($plant->nodes(), $plant->scaledTo($height)->nodes());
        }
    }

    /** Every axis grows from a node that is there, and its seasons add up to its nodes. */
    private static function whole(LivingPlant $plant): void
    {
        foreach ($plant->axes as $id => $axis) {
            self::assertSame($id, $axis->id);
            self::assertSame($axis->nodes(), array_sum($axis->grown));
            if ($axis->parent !== null) {
                self::assertArrayHasKey($axis->parent, $plant->axes);
                self::assertLessThan($plant->axes[$axis->parent]->nodes(), $axis->node);
            }
        }
    }

    private static function cut(LivingPlant $plant, Randomizer $dice): Cut
    {
        $ids = array_keys($plant->axes);
        $id = $ids[$dice->getInt(0, count($ids) - 1)];

        return match ($dice->getInt(0, 5)) {
            0 => Cut::thin($id),
            1 => Cut::head($id, $dice->getInt(0, $plant->axes[$id]->nodes() - 1)),
            2 => Cut::shorten($dice->getInt(0, 1) === 0 ? null : $id, $dice->getInt(1, 6)),
            3 => Cut::raise($dice->getInt(50, 1500)),
            4 => Cut::face($dice->getInt(0, 359), $dice->getInt(100, 1200)),
            default => Cut::down($dice->getInt(100, 2000)),
        };
    }
}
