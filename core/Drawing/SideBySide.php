<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Regrowth\Course;

/** Courses at one moment, to the one scale that all their moments fit into: turning to another moves no ground. */
final readonly class SideBySide
{
    private const LEAST_REACH_MM = 200;

    private const LEAST_HEIGHT_MM = 300;

    /**
     * @param  list<Course>  $courses
     * @param  string  $at  a key of `Stage::NAMES`
     * @return list<array{Course, Portrait}>
     */
    public static function of(array $courses, string $at): array
    {
        [$reach, $height] = [self::LEAST_REACH_MM, self::LEAST_HEIGHT_MM];
        foreach ($courses as $course) {
            foreach ($course->future->stages as $stage) {
                $reach = max($reach, Portrait::reach($stage->plant));
                $height = max($height, Portrait::top($stage->plant));
            }
        }

        return array_map(static fn (Course $course): array => [
            $course, Portrait::of($course->future->stages[$at], (int) (2.1 * $reach), (int) (1.08 * $height)),
        ], $courses);
    }
}
