<?php

declare(strict_types=1);

namespace Tests\Core\Safety;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Hemisphere;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Fault;
use PruningHook\Core\Method\Kit;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\State;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\Plant\Stress;
use PruningHook\Core\Plant\Upkeep;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Units\Doubt;
use PruningHook\Core\Units\Length;
use PruningHook\Core\Weather\Advice;
use PruningHook\Core\Weather\DayWeather;
use PruningHook\Core\Weather\WorkAdvice;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

/**
 * Where a rule of safety, of the kit or of the weather begins, to the millimetre and the degree. Common practice, no
 * source.
 */
final class ThresholdsTest extends TestCase
{
    use Prescribing;

    public function test_an_arborist_begins_above_five_metres_and_ten_centimetres_of_wood(): void
    {
        $off = fn (string $kind, string $task, int $height, ?int $trunk = null): bool => $this->task(
            new Plant('p', $kind, heightMm: $height, state: new State(trunkMm: $trunk)), $task,
        )->handsOff !== null;
        self::assertFalse($off('oak', 'winter-structure', 5000));
        self::assertTrue($off('oak', 'winter-structure', 5001));
        self::assertFalse($off('lilac', 'after-flowering', 2000, 100));
        self::assertTrue($off('lilac', 'after-flowering', 2000, 101));
        self::assertFalse($off('oak', 'winter-structure', 4000, 200), 'limbs are taken for half the trunk');
        self::assertTrue($off('oak', 'winter-structure', 4000, 202));
        $kit = Kit::none();
        self::assertSame([1, 0, [], [], [Kit::ARBORIST]], [
            $kit->people, $kit->debrisLitres, $kit->tools, $kit->gear, $kit->skills,
        ]);
    }

    public function test_a_ladder_begins_above_reach_and_the_tools_with_the_wood(): void
    {
        $kit = fn (int $height): Kit => $this->task(new Plant('p', 'forsythia', heightMm: $height), 'after-flowering')
            ->kit;
        $high = fn (int $height): Kit => $this->task(new Plant('p', 'wisteria', heightMm: $height), 'winter-pass')->kit;
        self::assertNotContains('ladder', $high(2200)->tools);
        self::assertContains('ladder', $high(2201)->tools);
        self::assertSame([1, 2], [$high(2200)->people, $high(2201)->people]);
        self::assertSame(1, $kit(3000)->people, 'what is cut at the base needs none');
        self::assertSame('one is enough', $kit(3000)->peopleInWords());
        self::assertSame('2: one foots the ladder', $high(2201)->peopleInWords());
        $canes = $this->task(new Plant('b', 'blackberry', heightMm: 1800), 'laterals')->kit;
        self::assertSame('2: one holds while the other unties and cuts', $canes->peopleInWords());
        // 12 mm a metre: 20 mm at 1.667 m, 40 mm at 3.333 m.
        self::assertStringNotContainsString('loppers', implode(' ', $kit(1700)->tools));
        self::assertStringContainsString('loppers (wood to about 21 mm)', implode(' ', $kit(1710)->tools));
        self::assertStringNotContainsString('saw', implode(' ', $kit(3370)->tools));
        self::assertStringContainsString('pruning saw (wood to about 41 mm)', implode(' ', $kit(3380)->tools));
        self::assertStringContainsString('loppers (wood to about 40 mm)', implode(' ', $kit(3380)->tools));
        self::assertSame([], $kit(3370)->skills);
        self::assertSame(['saw'], $kit(3380)->skills);
        self::assertSame(['ladder'], $high(2201)->skills);
    }

    public function test_cuttings_are_the_room_times_what_is_taken_times_how_loosely_they_lie(): void
    {
        $litres = fn (Plant $plant, string $task): int => $this->task($plant, $task)->kit->debrisLitres;
        // 2 x 1.5 x 1.5 m, a third of it, lying in a third of the room and a little more: 35 %.
        self::assertSame(
            (int) ceil(2 * 1.5 * 1.5 * 0.33 * 0.35 * 1000),
            $litres(
                new Plant('p', 'forsythia', heightMm: 2000, spreadMm: 1500, stems: StemCount::of(9, 3)),
                'after-flowering',
            ),
        );
        // Nobody measured it across: six tenths of its height.
        self::assertSame(
            (int) ceil(2 * 1.2 * 1.2 * 0.33 * 0.35 * 1000),
            $litres(new Plant('p', 'forsythia', heightMm: 2000, stems: StemCount::of(9, 3)), 'after-flowering'),
        );
        self::assertSame(
            (int) ceil(3 * 2 * 1.2 * 1.2 * 0.33 * 0.35 * 1000),
            $litres(
                new Plant('p', 'forsythia', heightMm: 2000, count: 3, stems: StemCount::of(9, 3)), 'after-flowering',
            ),
        );
        // A hedge: 15 litres a square metre of two faces and the top.
        $hedge = new Plant('h', 'box-hedge', heightMm: 1000, spreadMm: 500, runMm: 10000);
        self::assertSame(
            (int) ceil(15 * $hedge->face(1000, TestBook::keeping()->hedgeTopMm)),
            $litres($hedge, 'first-trim'),
        );
    }

    public function test_cuttings_of_a_plant_cut_down_are_the_share_of_its_height_that_goes(): void
    {
        // Of 2 m the cut at 30 cm takes 85 %: 2 x 1 x 1 m, lying in 35 % of that room.
        $plant = new Plant('p', 'butterfly-bush', heightMm: 2000, spreadMm: 1000);
        self::assertSame(
            (int) ceil(2 * 0.85 * 0.35 * 1000), $this->task($plant, 'spring-cut')->kit->debrisLitres,
        );
    }

    /** @param  list<string>  $rules */
    #[DataProvider('weathers')]
    public function test_where_weather_holds_the_work(float $min, float $max, float $rain, array $rules): void
    {
        $advice = WorkAdvice::with(TestBook::read()->figures)->on([
            DayWeather::of(Day::of(2027, 3, 1), $min, $max, $rain),
        ]);
        self::assertSame($rules, array_map(static fn (Advice $each): string => $each->reason->rule, $advice));
    }

    /** @return array<string, array{float, float, float, list<string>}> */
    public static function weathers(): array
    {
        return [
            'a light frost' => [-2.9, 5, 0, []],
            'a hard one' => [-3.0, 5, 0, ['Hold: hard frost']],
            'some rain' => [5, 10, 4.9, []],
            'rain' => [5, 10, 5.0, ['Hold: rain']],
            'a warm day' => [15, 29.9, 0, []],
            'a hot one' => [15, 30.0, 0, ['Mind the heat']],
            'a hot one with a storm' => [15, 31, 12, ['Hold: rain', 'Mind the heat']],
        ];
    }

    public function test_frost_counts_for_three_days_from_the_cut(): void
    {
        $day = static fn (int $of, float $min): DayWeather => DayWeather::of(Day::of(2027, 3, $of), $min, 12, 0);
        $advice = WorkAdvice::with(TestBook::read()->figures);
        self::assertCount(1, $advice->on([$day(1, 4), $day(2, 4), $day(3, -5)]));
        self::assertStringContainsString('-5 degrees are forecast for 3 March', $advice->on([
            $day(1, 4), $day(2, 4), $day(3, -5),
        ])[0]->reason->because);
        self::assertSame([], $advice->on([$day(1, 4), $day(2, 4), $day(3, 4), $day(4, -5)]));
        self::assertSame([], $advice->on([]));
        $this->expectException(Fault::class);
        DayWeather::of(Day::of(2027, 3, 1), 5, 4, 0);
    }

    public function test_no_day_is_drier_than_dry_and_one_degree_may_be_all(): void
    {
        self::assertSame(0.0, DayWeather::of(Day::of(2027, 3, 1), 5, 5, 0)->rainMm);
        $this->expectException(Fault::class);
        DayWeather::of(Day::of(2027, 3, 1), 5, 6, -0.1);
    }

    public function test_a_state_that_cannot_be_is_told(): void
    {
        self::assertSame([0, 100, 1], [
            (new State(diebackPercent: 0))->diebackPercent, (new State(diebackPercent: 100))->diebackPercent,
            (new State(trunkMm: 1))->trunkMm,
        ]);
        foreach ([
            static fn (): State => new State(diebackPercent: -1), static fn (): State => new State(diebackPercent: 101),
            static fn (): State => new State(targetHeightMm: 0), static fn (): State => new State(widthMm: 0),
            static fn (): State => new State(trunkMm: 0),
        ] as $index => $said) {
            try {
                $said();
                self::fail("not told: $index");
            } catch (Fault $fault) {
                self::assertNotSame('', $fault->getMessage());
            }
        }
    }

    #[DataProvider('sayings')]
    public function test_whatever_is_said_of_a_plant_makes_it_no_plain_one(State $said): void
    {
        self::assertTrue((new State)->isPlain);
        self::assertFalse($said->isPlain);
    }

    /** @return array<string, array{State}> */
    public static function sayings(): array
    {
        return [
            'lopped' => [new State(Upkeep::Lopped)], 'died back' => [new State(diebackPercent: 10)],
            'variegated' => [new State(variegated: true)], 'moved' => [new State(transplanted: Day::of(2027, 1, 1))],
            'ill' => [new State(disease: 'x')], 'thirsty' => [new State(stress: Stress::Drought)],
            'potted' => [new State(container: true)], 'named' => [new State(cultivar: 'x')],
            'held at a height' => [new State(targetHeightMm: 900)], 'held at a width' => [new State(widthMm: 900)],
            'with a trunk' => [new State(trunkMm: 90)], 'protected' => [new State(protected: true)],
            'reached from one side' => [new State(sides: 1)], 'on the boundary' => [new State(boundary: true)],
            'exposed' => [new State(exposed: true)], 'bearing on tips' => [new State(bearing: 'tip')],
        ];
    }

    public function test_damage_is_looked_at_again_at_the_midwinter_half_a_year_off(): void
    {
        self::assertSame(
            '2027-12-21',
            (string) State::passes(Day::parse('2027-06-24'), Hemisphere::North, TestBook::keeping()),
        );
        self::assertSame(
            '2028-12-21',
            (string) State::passes(Day::parse('2027-06-25'), Hemisphere::North, TestBook::keeping()),
        );
        self::assertSame(
            '2028-06-21',
            (string) State::passes(Day::parse('2027-06-25'), Hemisphere::South, TestBook::keeping()),
        );
        $seen = new State(
            Upkeep::Neglected, 20, disease: 'x', stress: Stress::Drought, seen: Day::parse('2027-05-01'),
        );
        $later = $seen->on(Day::parse('2027-12-21'), Hemisphere::North, TestBook::keeping());
        self::assertSame([Upkeep::Neglected, null, null, null], [
            $later->upkeep, $later->diebackPercent, $later->disease, $later->stress,
        ]);
        self::assertSame($seen, $seen->on(Day::parse('2027-12-20'), Hemisphere::North, TestBook::keeping()));
        $on = Day::parse('2027-05-01');
        foreach ([
            new State(diebackPercent: 5, seen: $on), new State(disease: 'x', seen: $on),
            new State(stress: Stress::Drought, seen: $on),
        ] as $one) {
            self::assertNotSame($one, $one->on(Day::parse('2027-12-21'), Hemisphere::North, TestBook::keeping()));
        }
        $lasting = new State(trunkMm: 90, seen: Day::parse('2020-05-01'));
        self::assertSame($lasting, $lasting->on(Day::parse('2027-12-21'), Hemisphere::North, TestBook::keeping()));
    }

    public function test_nests_are_looked_for_from_march_to_august(): void
    {
        $prescriber = Prescriber::with(TestBook::read());
        $told = fn (string $kind, string $task): string => implode(' ', $prescriber->prescribe(
            new Plant('p', $kind), SiteYear::of(Sites::southernEngland(), 2027), $this->practice(),
        )->task($task)->cautions ?? []);
        self::assertStringContainsString('nest', $told('forsythia', 'after-flowering'));
        self::assertStringNotContainsString('nest', $told('grape-vine', 'rough-pass'));
    }

    /** @param  ?string  $says  what was meant, or that it is unusual; null where it may be */
    #[DataProvider('lengths')]
    public function test_how_far_a_measure_may_lie_from_what_is_usual(float $number, string $unit, ?string $says): void
    {
        $doubt = Doubt::of($number, $unit, 2000);
        if ($says === null) {
            self::assertNull($doubt);
        } else {
            self::assertStringContainsString($says, (string) $doubt);
        }
    }

    /** @return array<string, array{float, string, ?string}> */
    public static function lengths(): array
    {
        return [
            'a twenty-fifth' => [8, 'cm', null],
            'less' => [7.9, 'cm', '7.9 cm? Such a plant usually measures about 2 m'],
            'six times' => [12, 'm', null],
            'more' => [12.1, 'm', '12.1 m? Such a plant'],
            'metres typed as centimetres' => [2, 'cm', 'did you mean 2 m'],
            'centimetres typed as metres' => [190, 'm', 'did you mean 190 cm'],
            'feet typed as centimetres' => [6, 'cm', 'did you mean 6 ft'],
            'nothing near' => [40, 'm', '40 m? Such a plant usually measures about 2 m'],
        ];
    }

    public function test_a_length_is_said_in_its_unit_from_its_first_millimetre(): void
    {
        $say = static fn (int $mm): string => Length::ofMm($mm)->metric().', '.Length::ofMm($mm)->imperial();
        self::assertSame('19 mm, 3/4 in', $say(19));
        self::assertSame('2 cm, 3/4 in', $say(20));
        self::assertSame('1 m, 3 ft 3 in', $say(1000));
        self::assertSame('60 cm, 2 ft', $say(600));
        self::assertSame('58 cm, 23 in', $say(580));
        self::assertSame('1.25 m, 4 ft 1 in', $say(1250));
        self::assertSame('0 mm, 0 in', $say(0));
        $this->expectException(Fault::class);
        Length::ofMm(-1);
    }

    public function test_a_plant_has_no_fewer_than_no_stems(): void
    {
        self::assertSame(0, StemCount::of(0, 0)->all());
        foreach ([[-1, 0], [0, -1]] as [$old, $young]) {
            try {
                StemCount::of($old, $young);
                self::fail('fewer than no stems');
            } catch (Fault $fault) {
                self::assertStringContainsString('fewer than no stems', $fault->getMessage());
            }
        }
    }

    public function test_a_task_left_out_for_two_seasons_takes_half_as_long_again(): void
    {
        $minutes = fn (int ...$seasons): int => $this->task(new Plant(
            'p', 'lilac', heightMm: 3000,
            history: array_values(array_map(static fn (int $season): LoggedWork => new LoggedWork(
                'after-flowering', $season, Day::of($season, 6, 10), Outcome::Done, null,
            ), $seasons)),
        ), 'after-flowering')->minutes;
        self::assertSame([36, 36, 54], [$minutes(), $minutes(2025), $minutes(2024)]);
        self::assertSame(36, $minutes(2020, 2026));
    }
}
