<?php

declare(strict_types=1);

namespace Tests\Core\Regrowth;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\FittedSurvey;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\PlantBook\Habit;
use PruningHook\Core\Regrowth\Course;
use PruningHook\Core\Regrowth\Courses;
use PruningHook\Core\Regrowth\CutTime;
use PruningHook\Core\Regrowth\Likeness;
use PruningHook\Core\Regrowth\Stage;
use PruningHook\Core\Regrowth\TaskCuts;
use PruningHook\Core\Regrowth\YearlyCut;
use Tests\Support\Growing;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

/** Leave it, cut it as usual, cut it hard: what the model grows of each. Common practice of the trade, no source. */
final class CoursesTest extends TestCase
{
    use Growing;
    use Prescribing;

    public function test_a_late_bloomer_cut_as_usual_flowers_lower_than_one_left_alone(): void
    {
        $courses = $this->courses('butterfly-bush', 'spring-cut', 2500);
        [$leave, $usual] = $courses;
        self::assertEqualsWithDelta(2500, $leave->future->stages['now']->plant->heightMm(), 5);
        self::assertLessThan(600, $usual->future->stages['after']->plant->heightMm());
        self::assertLessThan(
            $leave->future->stages['bloom']->bloom?->heightMm, $usual->future->stages['bloom']->bloom?->heightMm,
        );
        self::assertSame(0, $leave->minutes);
        self::assertStringContainsString((string) (int) round($usual->minutes * 1.5).' min', $leave->risk);
    }

    public function test_an_early_bloomer_cut_hard_after_bloom_loses_nothing_that_spring_and_flowers_lower_next(): void
    {
        [$leave, $usual, $hard] = $this->courses('forsythia', 'after-flowering', 2400);
        self::assertSame('hard', $hard->key);
        $flowers = static fn (Course $course, string $at): float => $course->future->stages[$at]->bloom->flowers ?? 0.0;
        self::assertSame($flowers($leave, 'bloom'), $flowers($hard, 'bloom'), 'it has flowered before it is cut');
        self::assertLessThan(
            0.7 * ($leave->future->stages['one']->bloom->heightMm ?? 0),
            $hard->future->stages['one']->bloom?->heightMm, 'the flowers come down with it',
        );
        self::assertGreaterThan(
            $usual->future->stages['after']->removedPercent, $hard->future->stages['after']->removedPercent,
        );
        self::assertSame('about as many as left alone', $hard->flowersAgainst($leave, 'bloom'));
        self::assertSame('', $hard->flowersAgainst($leave, 'now'), 'it is not in flower');
        self::assertNotSame('', $usual->flowersAgainst($leave, 'three'));
    }

    /** How many stay and how many go are two words for one cut: it is not made twice. */
    public function test_a_plant_kept_to_a_number_of_stems_is_left_as_many(): void
    {
        foreach (['bush-rose' => 'main-pruning', 'crape-myrtle' => 'winter-structure'] as $kind => $key) {
            foreach ([[2, 3], [4, 3], [6, 6]] as [$old, $young]) {
                $plant = new Plant('p', $kind, stems: StemCount::of($old, $young));
                $task = $this->task($plant, $key);
                $keep = $task->amount(Effect::StemsKept) ?? self::fail("$kind is kept to no number");
                $out = $task->amount(Effect::StemsOut) ?? self::fail("$kind has no number out");
                $stems = array_map(static fn (int $number): array => [
                    'azimuth_deg' => 29.0 * $number, 'lean_deg' => 25.0, 'length_mm' => 900,
                    'age_years' => $number < $old ? 5 : 2,
                ], range(0, $old + $young - 1));
                $living = FittedSurvey::of($this->grown($kind, 8), $stems);
                $left = count(TaskCuts::of($living, $task)->left->stems());
                $which = "$kind, $old and $young";
                self::assertGreaterThanOrEqual($keep->min, $left, $which);
                self::assertLessThanOrEqual(max($keep->max, $old + $young - $out->min), $left, $which);
                self::assertLessThanOrEqual($out->max, $old + $young - $left, $which);
            }
        }
        $plant = new Plant('p', 'raspberry-summer', stems: StemCount::of(6, 9));
        $living = $this->grown('raspberry-summer', 5);
        $canes = count($living->stems());
        $task = $this->task($plant, 'fruited-canes');
        self::assertGreaterThanOrEqual(
            min($canes - 1, $task->amount(Effect::StemsKept)->min ?? 0),
            count(TaskCuts::of($living, $task)->left->stems()),
        );
    }

    public function test_where_stems_were_judged_one_by_one_those_go_and_no_others(): void
    {
        $task = $this->task(new Plant('p', 'bush-rose', stems: StemCount::of(4, 3)), 'main-pruning');
        $living = FittedSurvey::of($this->grown('bush-rose', 8), array_map(static fn (int $number): array => [
            'azimuth_deg' => 50.0 * $number, 'lean_deg' => 25.0, 'length_mm' => 900, 'age_years' => 1 + $number % 4,
        ], range(0, 6)));
        $stems = array_keys($living->stems());
        foreach ([[$stems[5], $stems[0]], [$stems[2]], []] as $judged) {
            $cuts = TaskCuts::of($living, $task, judged: $judged);
            $whole = array_values(array_filter(
                $cuts->cuts, static fn (Cut $cut): bool => $cut->does === 'thin' && in_array($cut->axis, $stems, true),
            ));
            self::assertSame($judged, array_map(static fn (Cut $cut): ?int => $cut->axis, $whole));
            self::assertSame(
                array_values(array_diff($stems, $judged)), array_keys($cuts->left->stems()), 'the others stay',
            );
        }
    }

    public function test_how_it_answers_hard_cutting_is_told(): void
    {
        [, , $forsythia] = $this->courses('forsythia', 'after-flowering', 1000);
        self::assertStringContainsString('Whole again in about 1 year.', $forsythia->risk);
        self::assertStringStartsWith("Past this season's budget of 33 %: only as an agreed", $forsythia->risk);
        $lavender = array_column($this->courses('lavender', 'after-flowering', 600), null, 'key')['hard'] ?? null;
        self::assertStringContainsString('never break again', $lavender->risk ?? '');
        self::assertStringContainsString('about 5 years', $lavender->risk ?? '');
    }

    public function test_an_arborists_tree_is_only_left_alone(): void
    {
        $oak = new Plant('p', 'oak', heightMm: 25000);
        $task = $this->task($oak, 'winter-structure');
        self::assertNotNull($task->handsOff);
        self::assertSame(['leave'], array_map(
            static fn (Course $course): string => $course->key,
            $this->of($oak)->for(null),
        ));
        self::assertNotContains('hard', array_map(
            static fn (Course $course): string => $course->key, $this->of($oak)->for($task),
        ));
    }

    #[DataProvider('kinds')]
    public function test_no_course_of_any_kind_is_absurd(string $kind): void
    {
        $plant = new Plant('p', $kind, heightMm: 1500);
        $book = TestBook::read()->kind($kind);
        foreach ($this->prescribe($plant)->tasks as $task) {
            if ($task->handsOff !== null || ! TaskCuts::draws($task)) {
                continue;
            }
            foreach ($this->of($plant)->for($task) as $course) {
                self::assertSame(array_keys(Stage::NAMES), array_keys($course->future->stages));
                foreach ($course->future->stages as $stage) {
                    self::assertTrue($stage->removedPercent >= 0 && $stage->removedPercent <= 100);
                }
                $after = $course->future->stages['after']->plant->heightMm();
                self::assertLessThanOrEqual(
                    $course->future->stages['now']->plant->heightMm() + 1, $after, 'no cut makes it taller',
                );
                if ($course->key === 'hard') {
                    self::assertTrue(
                        $book->habit !== Habit::Tree || $book->lowestFrameworkMm !== null, 'no tree is topped',
                    );
                    self::assertGreaterThanOrEqual(0.5 * ($book->lowestFrameworkMm ?? 0), $after);
                }
                self::assertArrayHasKey('moments', $course->toArray());
            }

            // One task is enough of each kind: a course is grown for three years.
            break;
        }
        self::assertNotSame('', $kind);
    }

    /** @return iterable<string, array{string}> every fifth kind, and those the rules turn on */
    public static function kinds(): iterable
    {
        foreach (array_keys(TestBook::read()->all()) as $index => $kind) {
            if ($index % 5 === 0 || in_array($kind, ['oak', 'lime', 'yew-hedge', 'grape-vine', 'lavender'], true)) {
                yield $kind => [$kind];
            }
        }
    }

    private function of(Plant $plant): Courses
    {
        $kind = TestBook::read()->kind($plant->kind);

        return new Courses(
            Likeness::of($plant, $kind, $this->kind($plant->kind), 2027, new YearlyCut)->living, $kind,
            TestBook::read()->figures, CutTime::Winter,
        );
    }

    /** @return list<Course> */
    private function courses(string $kind, string $key, int $height): array
    {
        $plant = new Plant('p', $kind, heightMm: $height);
        $book = TestBook::read()->kind($kind);
        $task = $this->task($plant, $key);
        $time = CutTime::of(
            $task->window->bestFrom, $book->wood,
            KindYear::of(SiteYear::of(Sites::southernEngland(), 2027), $book->phenology),
        );
        $likeness = Likeness::of($plant, $book, $this->kind($kind), 2027, new YearlyCut($task, $time));

        return (new Courses($likeness->living, $book, TestBook::read()->figures, $time))->for($task);
    }
}
