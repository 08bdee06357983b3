<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\BenchAnswer;
use App\Support\Page;
use Illuminate\Support\Collection;
use PruningHook\Core\Bench\BenchCase;
use PruningHook\Core\Bench\Marking;
use PruningHook\Core\Bench\Progress;

/** Today's case, what to practise next, the library and somebody's progress. */
final readonly class BenchPage extends Page
{
    /**
     * @param  ?BenchCase  $next  null where all was done well
     * @param  list<BenchCase>  $cases  that the filter lets through
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
        public BenchCase $today,
        public ?BenchCase $next,
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
