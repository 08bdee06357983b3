<?php

declare(strict_types=1);

namespace App\Exercise;

use App\Ground\Models\BenchAnswer;
use App\Ground\Support\Page;
use PruningHook\Core\Drawing\Portrait;
use PruningHook\Core\Regrowth\Course;

/** An answer with its marks, and both futures at one moment. */
final readonly class MarkPage extends Page
{
    /**
     * @param  string  $at  the moment that is shown
     * @param  list<array{Course, Portrait}>  $courses  the answer's and the judge's
     * @param  Course  $left  what the flowers are measured against
     * @param  int  $gone  cuts that can no longer be drawn
     */
    public function __construct(
        public BenchAnswer $answer,
        public Practised $practised,
        public string $at,
        public array $courses,
        public Course $left,
        public int $gone,
    ) {
    }
}
