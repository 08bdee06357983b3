<?php

declare(strict_types=1);

namespace Tests\Core\Regrowth;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Regrowth\Courses;
use Tests\Support\Prescribing;
use Tests\Support\TestBook;

/** What each course leaves, worked out by hand from the plant book's figures. Common practice, no source. */
final class CourseFiguresTest extends TestCase
{
    use Prescribing;

    /**
     * @param  array<string, list<int|string|null>>  $wanted  heights after, at the end and of flowers, lost, share,
     *     years
     */
    #[DataProvider('plants')]
    public function test_what_a_course_leaves(string $kind, string $task, int $height, array $wanted): void
    {
        $plant = new Plant('p', $kind, heightMm: $height, spreadMm: $height);
        $courses = [];
        foreach (Courses::with(TestBook::read())->of($plant, $this->task($plant, $task)) as $course) {
            $courses[$course->key] = [
                $course->heightAfterMm, $course->heightAtEndMm, $course->floweringHeightMm,
                $course->flowersLostPercent, $course->sharePercent, $course->yearsToRecover,
            ];
        }
        self::assertSame($wanted, $courses);
    }

    /** @return array<string, array{string, string, int, array<string, list<int|string|null>>}> */
    public static function plants(): array
    {
        return [
            // It makes 60 cm a year uncut, and 1.35 to 1.65 m from a cut; a usual cut is at 30 cm, the framework at 15.
            'a late bloomer of strong growth' => ['butterfly-bush', 'spring-cut', 2500, [
                'leave' => [2500, 3100, 4000, 0, 0, 0],
                'usual' => [300, 1800, 1800, 0, 88, 0],
                'hard' => [150, 1650, 1650, 0, 94, 1],
            ]],
            // A third may go, so that two thirds of its height stay however hard it is cut; it regrows twice as fast.
            'an early bloomer of strong growth' => ['forsythia', 'after-flowering', 2400, [
                'leave' => [2400, 3000, 2400, 0, 0, 0],
                'usual' => [2400, 3000, 2400, 0, 33, 0],
                'hard' => [1608, 2808, 1608, 100, 33, 1],
            ]],
            'an early bloomer of middling growth' => ['lilac', 'after-flowering', 3000, [
                'leave' => [3000, 3300, 3000, 0, 0, 0],
                'usual' => [3000, 3300, 3000, 0, 33, 0],
                'hard' => [2010, 2610, 2010, 100, 33, 1],
            ]],
            // Laterals are cut to their flower buds: nothing of the coming bloom is lost.
            'an early bloomer in winter' => ['wisteria', 'winter-pass', 3000, [
                'leave' => [3000, 3600, 3000, 0, 0, 0],
                'usual' => [3000, 3600, 3000, 0, 15, 0],
                'hard' => [1500, 2700, 1500, 100, 50, 1],
            ]],
            'a hedge that does not flower and grows slowly' => ['box-hedge', 'first-trim', 1200, [
                'leave' => [1200, 1350, null, 0, 0, 0],
                'usual' => [1200, 1350, null, 0, 15, 0],
                'hard' => [804, 1104, null, 0, 33, 1],
            ]],
        ];
    }

    public function test_the_next_cut_takes_half_as_long_again(): void
    {
        $plant = new Plant('p', 'lilac', heightMm: 3000);
        $task = $this->task($plant, 'after-flowering');
        self::assertSame(36, $task->minutes);
        [$leave, , $hard] = Courses::with(TestBook::read())->of($plant, $task);
        self::assertStringContainsString('the next cut takes about 54 min', $leave->risk);
        self::assertSame(54, $hard->minutes);
    }
}
