<?php

declare(strict_types=1);

namespace PruningHook\Core\Exercise;

/** What somebody has practised: by method the cases that were done well, and what to practise next. */
final readonly class Progress
{
    /**
     * @param  array<string, int>  $best  score of each case that was tried, by its key
     * @param  array<string, string>  $methods  of each case of the library, by its key
     * @param  array<string, int>  $visits  logged, by method
     */
    public function __construct(
        private Marking $marking,
        private array $best,
        private array $methods,
        private array $visits,
    ) {
    }

    /** @return array<string, array{tried: int, well: int, of: int, visits: int}> by method, as the library has them */
    public function byMethod(): array
    {
        $by = [];
        foreach ($this->methods as $key => $method) {
            $by[$method] ??= ['tried' => 0, 'well' => 0, 'of' => 0, 'visits' => $this->visits[$method] ?? 0];
            $by[$method]['of']++;
            $by[$method]['tried'] += isset($this->best[$key]) ? 1 : 0;
            $by[$method]['well'] += ($this->best[$key] ?? 0) >= $this->marking->well ? 1 : 0;
        }

        return $by;
    }

    /**
     * What is still needed before somebody may be signed off for a method: fewer cases where the library has fewer.
     *
     * @return array{cases: int, visits: int} both 0 where nothing is
     */
    public function needs(string $method): array
    {
        $has = $this->byMethod()[$method] ?? ['well' => 0, 'of' => 0, 'visits' => $this->visits[$method] ?? 0];

        return [
            'cases' => max(0, min($this->marking->cases, max(1, $has['of'])) - $has['well']),
            'visits' => max(0, $this->marking->visits - $has['visits']),
        ];
    }

    /**
     * The easiest case that was not done well yet, of the method that is farthest behind; what was tried and went
     * wrong before what is new.
     *
     * @param  array<string, ExerciseCase>  $cases
     */
    public function next(array $cases): ?ExerciseCase
    {
        $by = $this->byMethod();
        $open = array_filter(
            $cases, fn (ExerciseCase $case): bool => ($this->best[$case->key] ?? 0) < $this->marking->well,
        );
        $rank = fn (ExerciseCase $case): array => [
            $case->level, isset($this->best[$case->key]) ? 0 : 1, $by[$this->methods[$case->key] ?? '']['well'] ?? 0,
            $case->key,
        ];
        usort($open, static fn (ExerciseCase $a, ExerciseCase $b): int => $rank($a) <=> $rank($b));

        return $open[0] ?? null;
    }
}
