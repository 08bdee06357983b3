<?php

declare(strict_types=1);

namespace Tests\Core\Exercise;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Exercise\Answer;
use PruningHook\Core\Exercise\ExerciseCase;
use PruningHook\Core\Exercise\Judge;
use PruningHook\Core\Exercise\Remark;
use PruningHook\Core\Fault;
use PruningHook\Core\Growth\Axis;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Regrowth\TaskCuts;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Practising;

/** Answers on the practice bench, good and bad, on every case of the library. Weights: common practice, no source. */
final class JudgeTest extends TestCase
{
    use Practising;

    private const RANDOM = 24;

    #[DataProvider('library')]
    public function test_the_judges_own_answer_is_worth_all_and_nothing_but_a_desert_nothing(string $key): void
    {
        $exercise = $this->exercise($key);
        $judge = new Judge($exercise, self::cases()->marking);
        $right = $judge->answer();
        self::assertNotSame([], $right->cuts, 'there is something to do');
        self::assertFalse($exercise->isIdle());
        $mark = $judge->mark($right);
        self::assertSame([100, 100, 100], [$mark->score, $mark->foundPercent, $mark->keptPercent]);
        self::assertTrue($mark->isWell);
        self::assertSame(['right'], array_map(static fn (Remark $each): string => $each->about, $mark->remarks));
        $stems = array_filter($exercise->plant->axes, static fn (Axis $axis): bool => $axis->parent === null);
        $desert = $judge->mark(new Answer(array_map(Cut::thin(...), array_keys($stems)), $right->day));
        self::assertSame(0, $desert->score, 'an answer that empties the plant');
        self::assertSame(0, $judge->mark(new Answer([], $right->day))->score, 'an answer that cuts nothing');
    }

    /** Cuts at random, as many as the judge makes, on a day at random. */
    #[DataProvider('library')]
    public function test_a_random_answer_is_worth_little(string $key): void
    {
        $exercise = $this->exercise($key);
        $judge = new Judge($exercise, self::cases()->marking);
        $many = max(3, min(25, count($judge->answer()->cuts)));
        $ids = array_keys($exercise->plant->axes);
        $scores = [];
        for ($seed = 0; $seed < self::RANDOM; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            $cuts = [];
            for ($try = 0; $try < $many; $try++) {
                $id = $ids[$chance->getInt(0, count($ids) - 1)];
                $nodes = $exercise->plant->axes[$id]->nodes();
                $cut = $chance->getInt(0, 1) === 0 ? Cut::thin($id) : Cut::head($id, $chance->getInt(0, $nodes - 1));
                try {
                    Cutting::of($exercise->plant, [...$cuts, $cut]);
                    $cuts[] = $cut;
                } catch (Fault) {
                    continue;
                }
            }
            $day = $exercise->days[$chance->getInt(0, count($exercise->days) - 1)];
            $scores[] = $judge->mark(new Answer($cuts, $day))->score;
        }
        self::assertLessThan(20, array_sum($scores) / self::RANDOM, implode(', ', $scores));
        self::assertLessThan(40, max(0, ...$scores), implode(', ', $scores));
    }

    /** @return iterable<string, array{string}> */
    public static function library(): iterable
    {
        foreach (array_keys(self::cases()->cases) as $key) {
            yield $key => [$key];
        }
    }

    public function test_the_library_is_large_and_goes_from_easy_to_hard(): void
    {
        $cases = self::cases()->cases;
        self::assertGreaterThanOrEqual(30, count($cases));
        $levels = array_map(static fn (ExerciseCase $case): int => $case->level, array_values($cases));
        $sorted = $levels;
        sort($sorted);
        self::assertSame($sorted, $levels, 'the easy ones first');
        foreach (array_keys(ExerciseCase::LEVELS) as $level) {
            self::assertGreaterThanOrEqual(8, count(array_keys($levels, $level, true)));
        }
        self::assertGreaterThan(15, count(array_unique(array_column($cases, 'kind'))));
    }

    public function test_a_stem_of_the_same_age_is_as_good_as_the_judges(): void
    {
        $exercise = $this->exercise('first-forsythia');
        $judge = new Judge($exercise, self::cases()->marking);
        $right = $judge->answer();
        $taken = array_map(static fn (Cut $cut): int => (int) $cut->axis, $right->cuts);
        $born = array_map(static fn (Axis $axis): int => $axis->born(), $exercise->plant->stems());
        $other = null;
        foreach ($born as $id => $season) {
            foreach ($taken as $index => $mine) {
                if (! in_array($id, $taken, true) && ($born[$mine] ?? 0) === $season) {
                    $other = [$index, $id];
                }
            }
        }
        self::assertNotNull($other, 'two stems of one age, of which the judge takes one');
        $cuts = $right->cuts;
        $cuts[$other[0]] = Cut::thin($other[1]);
        self::assertSame(100, $judge->mark(new Answer(array_values($cuts), $right->day))->score);
    }

    public function test_whoever_takes_the_dead_wood_alone_has_not_done_it(): void
    {
        $exercise = $this->exercise('crowded-lilac');
        $judge = new Judge($exercise, self::cases()->marking);
        $mark = $judge->mark(new Answer(TaskCuts::dead($exercise->plant), $judge->answer()->day));
        self::assertLessThan(60, $mark->score);
        self::assertStringContainsString('A stem of', $mark->remarks[0]->says);
    }

    public function test_what_was_missed_and_what_was_good_is_told_at_its_place(): void
    {
        $exercise = $this->exercise('crowded-lilac');
        $judge = new Judge($exercise, self::cases()->marking);
        $right = $judge->answer();
        $dead = array_values(array_filter(
            $right->cuts, static fn (Cut $cut): bool => $exercise->plant->axes[(int) $cut->axis]->isDead(),
        ));
        self::assertCount(2, array_slice($dead, 0, 2));
        $without = array_values(array_filter(
            $right->cuts, static fn (Cut $cut): bool => $cut->axis !== $dead[0]->axis,
        ));
        $mark = $judge->mark(new Answer($without, $right->day));
        self::assertSame(['missed', $dead[0]->axis], [$mark->remarks[0]->about, $mark->remarks[0]->axis]);
        self::assertStringContainsString('dead', $mark->remarks[0]->says);
        self::assertSame('Left standing', $mark->remarks[0]->inWords());
        self::assertLessThan(100, $mark->score);
        // The youngest stem is good wood.
        $young = array_key_last(array_filter(
            $exercise->plant->stems(), static fn (Axis $axis): bool => $exercise->plant->ageOf($axis) <= 2
                && $axis->nodes() > 3,
        ));
        self::assertNotNull($young);
        $spoilt = $judge->mark(new Answer([...$right->cuts, Cut::head($young, 0)], $right->day));
        self::assertContains(
            'good-wood', array_map(static fn (Remark $each): string => $each->about, $spoilt->remarks),
        );
        self::assertLessThan(100, $spoilt->keptPercent);
        self::assertLessThan(100, $spoilt->score);
    }

    public function test_a_wrong_day_a_wrong_order_and_a_stub_cost_what_they_cost(): void
    {
        $exercise = $this->exercise('crowded-lilac');
        $judge = new Judge($exercise, self::cases()->marking);
        $right = $judge->answer();
        $window = $exercise->task->window;
        $wrong = array_values(array_filter($exercise->days, static fn (Day $day): bool => ! $window->contains($day)));
        self::assertCount(count($exercise->days) - 1, $wrong, 'one day is right');
        $late = $judge->mark(new Answer($right->cuts, $wrong[0]));
        self::assertSame([85, 'window'], [$late->score, $late->remarks[0]->about]);
        self::assertStringContainsString('not on', $late->remarks[0]->says);
        self::assertSame(85, $judge->mark(new Answer($right->cuts, null))->score, 'no day is a wrong day');
        // The stems first and the dead wood after them: each comes too late.
        $stems = array_values(array_filter($right->cuts, static fn (Cut $cut): bool => $cut->does === 'thin'
            && $exercise->plant->axes[(int) $cut->axis]->parent === null));
        $dead = TaskCuts::dead(Cutting::of($exercise->plant, $stems)->plant);
        $turned = $judge->mark(new Answer([...$stems, ...$dead], $right->day));
        self::assertSame(100 - 2 * count($dead), $turned->score);
        self::assertSame('order', $turned->remarks[0]->about);
        // A stem that was to go at its origin, left as a stub of two buds.
        $cuts = $right->cuts;
        self::assertNotSame([], $stems);
        foreach ($cuts as $index => $cut) {
            if ($cut->axis === $stems[0]->axis) {
                $cuts[$index] = Cut::head((int) $cut->axis, 1);
            }
        }
        $stub = $judge->mark(new Answer($cuts, $right->day));
        self::assertContains('place', array_map(static fn (Remark $each): string => $each->about, $stub->remarks));
        self::assertLessThan(100, $stub->score);
        self::assertGreaterThan(60, $stub->score);
    }

    public function test_more_than_may_go_in_a_season_is_told(): void
    {
        $exercise = $this->exercise('crowded-forsythia');
        $judge = new Judge($exercise, self::cases()->marking);
        $stems = array_keys($exercise->plant->stems());
        $mark = $judge->mark(new Answer(
            array_map(Cut::thin(...), array_slice($stems, 0, count($stems) - 1)), $judge->answer()->day,
        ));
        self::assertContains('budget', array_map(static fn (Remark $each): string => $each->about, $mark->remarks));
        self::assertFalse($mark->isWell);
        self::assertLessThan(self::cases()->marking->well, $mark->score);
    }

    public function test_a_cut_near_enough_to_the_height_is_right(): void
    {
        $exercise = $this->exercise('first-butterfly-bush');
        $judge = new Judge($exercise, self::cases()->marking);
        $right = $judge->answer();
        $down = array_values(array_filter($right->cuts, static fn (Cut $cut): bool => $cut->does === 'down'));
        self::assertCount(1, $down);
        $others = array_values(array_filter($right->cuts, static fn (Cut $cut): bool => $cut->does !== 'down'));
        $near = static fn (int $more): Answer => new Answer(
            [...$others, Cut::down((int) $down[0]->heightMm + $more)], $right->day,
        );
        self::assertGreaterThanOrEqual(95, $judge->mark($near(40))->score);
        self::assertLessThan(self::cases()->marking->well, $judge->mark($near(900))->score, 'a metre too high');
    }

    public function test_a_case_is_the_same_plant_each_time_and_another_with_another_number(): void
    {
        self::assertEquals(
            $this->exercise('neglected-rose', 3)->plant->axes, $this->exercise('neglected-rose', 3)->plant->axes,
        );
        self::assertNotEquals(
            $this->exercise('neglected-rose', 3)->plant->axes, $this->exercise('neglected-rose', 4)->plant->axes,
        );
        $cases = self::cases();
        $monday = Day::parse('2027-03-08');
        self::assertSame($cases->ofDay($monday)->key, $cases->ofDay(Day::parse('2027-03-08'))->key);
        $week = array_map(
            static fn (int $on): string => $cases->ofDay($monday->plus($on))->key, range(0, 20),
        );
        self::assertGreaterThan(10, count(array_unique($week)), 'another one on most days');
        $this->expectExceptionMessage('there is no case "nothing" on the bench');
        $cases->named('nothing');
    }
}
