<?php

declare(strict_types=1);

namespace App\Exercise;

use App\Ground\Models\BenchAnswer;
use App\Ground\Support\Page;
use Illuminate\Support\Collection;
use PruningHook\Core\Exercise\ExerciseCase;
use PruningHook\Core\Exercise\Marking;
use PruningHook\Core\Exercise\Progress;

/** Today's case, what to practise next, the library and somebody's progress. */
final readonly class ExercisesPage extends Page
{
    /**
     * @param  ?ExerciseCase  $next  null where all was done well
     * @param  list<ExerciseCase>  $cases  that the filter lets through
     * @param  array<string, int>  $best  score of each case that was tried
     * @param  array<string, string>  $methods  of each case
     * @param  array<string, string>  $methodNames  in words
     * @param  array<string, string>  $kinds  in words
     * @param  array{kind: string, level: string, method: string}  $filter
     * @param  Collection<int, BenchAnswer>  $answers  the last few
     * @param  array<string, array{tried: int, well: int, of: int, visits: int}>  $begun  methods that were tried or
     *     logged
     */
    public function __construct(
        public ExerciseCase $today,
        public ?ExerciseCase $next,
        public array $cases,
        public array $best,
        public array $methods,
        public array $methodNames,
        public array $kinds,
        public array $filter,
        public Progress $progress,
        public Marking $marking,
        public Collection $answers,
        public array $begun,
    ) {
    }
}
