<?php

declare(strict_types=1);

namespace Tests\Core\Regrowth;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Regrowth\Course;
use PruningHook\Core\Regrowth\Courses;
use Tests\Support\Prescribing;
use Tests\Support\TestBook;

/** Leave it, cut it as usual, cut it hard: what comes of each. Common practice of the trade. */
final class CoursesTest extends TestCase
{
    use Prescribing;

    public function test_a_late_bloomer_cut_hard_flowers_lower_and_later_and_loses_nothing(): void
    {
        [$leave, $usual, $hard] = $this->courses('butterfly-bush', 'spring-cut', 2500);
        self::assertSame(2500, $leave->heightAfterMm);
        self::assertSame(150, $hard->heightAfterMm, 'down to its lowest framework');
        self::assertLessThan($leave->floweringHeightMm, $usual->floweringHeightMm);
        self::assertSame(
            [0, 0, 0],
            [$leave->flowersLostPercent, $usual->flowersLostPercent, $hard->flowersLostPercent],
        );
        self::assertStringContainsString('later', $hard->flowersWhen);
    }

    public function test_an_early_bloomer_cut_hard_loses_its_next_bloom(): void
    {
        [, $usual, $hard] = $this->courses('forsythia', 'after-flowering', 2400);
        self::assertSame(0, $usual->flowersLostPercent, 'straight after bloom nothing is lost');
        self::assertSame(100, $hard->flowersLostPercent);
        self::assertSame(33, $usual->sharePercent);
    }

    public function test_how_it_answers_hard_cutting_sets_the_years_and_the_risk(): void
    {
        $years = fn (string $kind, string $task): array => [
            $this->courses($kind, $task, 1000)[2]->yearsToRecover,
            $this->courses($kind, $task, 1000)[2]->risk,
        ];
        self::assertSame(1, $years('forsythia', 'after-flowering')[0]);
        self::assertGreaterThan(3, $years('lavender', 'after-flowering')[0]);
        self::assertStringContainsString('never break again', $years('lavender', 'after-flowering')[1]);
    }

    public function test_leaving_it_costs_nothing_now_and_more_later(): void
    {
        [$leave, $usual] = $this->courses('forsythia', 'after-flowering', 2400);
        self::assertSame([0, 0], [$leave->minutes, $leave->sharePercent]);
        self::assertStringContainsString((string) (int) round($usual->minutes * 1.5).' min', $leave->risk);
    }

    #[DataProvider('kinds')]
    public function test_no_course_of_any_kind_is_absurd(string $kind): void
    {
        foreach ($this->prescribe(new Plant('p', $kind, heightMm: 1500))->tasks as $task) {
            foreach (Courses::with(TestBook::read())->of(new Plant('p', $kind, heightMm: 1500), $task) as $course) {
                self::assertLessThanOrEqual(1500, $course->heightAfterMm);
                self::assertGreaterThanOrEqual($course->heightAfterMm, $course->heightAtEndMm);
                self::assertTrue(
                    $course->sharePercent >= 0 && $course->sharePercent <= 100 && $course->flowersLostPercent <= 100,
                    "$kind $course->key",
                );
            }
        }
    }

    /** @return iterable<string, array{string}> */
    public static function kinds(): iterable
    {
        foreach (array_keys(TestBook::read()->all()) as $kind) {
            yield $kind => [$kind];
        }
    }

    /** @return array{Course, Course, Course} */
    private function courses(string $kind, string $task, int $height): array
    {
        $plant = new Plant('p', $kind, heightMm: $height);
        $courses = Courses::with(TestBook::read())->of($plant, $this->task($plant, $task));
        self::assertCount(3, $courses);

        return [$courses[0], $courses[1], $courses[2]];
    }
}
