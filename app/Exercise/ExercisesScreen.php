<?php

declare(strict_types=1);

namespace App\Exercise;

use App\Ground\Models\BenchAnswer;
use App\Ground\Models\User;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Exercise\ExerciseCase;
use PruningHook\Core\Exercise\Progress;
use PruningHook\Core\PlantBook\PlantBook;

/** The bench as somebody finds it: today's case, what to practise next, the library, and how far they are. */
final readonly class ExercisesScreen
{
    /** Answers that are shown, the last first. */
    private const LAST = 8;

    public function __construct(private Exercises $exercises, private PlantBook $book)
    {
    }

    /** @param  array{kind: string, level: string, method: string}  $filter */
    public function show(User $user, Day $today, array $filter): ExercisesPage
    {
        $cases = $this->exercises->cases();
        $methods = $this->exercises->methods();
        $best = self::best([$user->id])[$user->id] ?? [];
        $progress = $this->progress($user, $methods);
        $shown = array_filter($cases->cases, static fn (ExerciseCase $case): bool => ($filter['kind'] === ''
            || $case->kind === $filter['kind']) && ($filter['level'] === '' || (string) $case->level
            === $filter['level']) && ($filter['method'] === '' || $methods[$case->key] === $filter['method']));

        $answers = BenchAnswer::query()->with('plant');
        $answers->where('user_id', $user->id)->orderByDesc('id')->limit(self::LAST);

        return new ExercisesPage(
            $cases->ofDay($today), $progress->next($cases->cases), array_values($shown), $best, $methods,
            $this->names($methods), $this->kinds(), $filter, $progress, $cases->marking,
            $answers->get(), array_filter(
                $progress->byMethod(), static fn (array $of): bool => $of['tried'] + $of['visits'] > 0,
            ),
        );
    }

    /** @param  array<string, string>  $methods  of each case */
    public function progress(User $user, array $methods): Progress
    {
        return $this->progresses([$user->id], $methods)[$user->id];
    }

    /**
     * @param  list<int>  $users
     * @param  array<string, string>  $methods  of each case
     * @return array<int, Progress> by user
     */
    public function progresses(array $users, array $methods): array
    {
        $best = self::best($users);
        $visits = self::visits($users);
        $progresses = [];
        foreach ($users as $user) {
            $progresses[$user] = new Progress(
                $this->exercises->cases()->marking, $best[$user] ?? [], $methods, $visits[$user] ?? [],
            );
        }

        return $progresses;
    }

    /**
     * @param  list<int>  $users
     * @return array<int, array<string, int>> the best score of each case of the library, by user and key
     */
    private static function best(array $users): array
    {
        $best = [];
        foreach (DB::table('bench_answers')->whereIn('user_id', $users)->whereNull('plant_id')
            ->groupBy('user_id', 'case_key')->selectRaw('user_id, case_key, max(score) as best')->get() as $row) {
            $best[(int) $row->user_id][(string) $row->case_key] = (int) $row->best;
        }

        return $best;
    }

    /**
     * @param  list<int>  $users
     * @return array<int, array<string, int>> what they logged as done, by user and method
     */
    private static function visits(array $users): array
    {
        $visits = [];
        foreach (DB::table('work_logs')->whereIn('logged_by', $users)->whereIn('outcome', ['done', 'changed'])
            ->whereNotNull('recipe')->groupBy('logged_by', 'recipe')
            ->selectRaw('logged_by, recipe, count(*) as logged')->get() as $row) {
            $visits[(int) $row->logged_by][(string) $row->recipe] = (int) $row->logged;
        }

        return $visits;
    }

    /**
     * @param  array<string, string>  $methods
     * @return array<string, string> each method in words, by its key
     */
    public function names(array $methods): array
    {
        $names = [];
        foreach (array_unique($methods) as $method) {
            $names[$method] = $this->book->recipes->get($method)->name;
        }
        asort($names);

        return $names;
    }

    /** @return array<string, string> the kinds of the library by name */
    private function kinds(): array
    {
        $kinds = [];
        foreach ($this->exercises->cases()->cases as $case) {
            $kinds[$case->kind] = $this->book->kind($case->kind)->name;
        }
        asort($kinds);

        return $kinds;
    }
}
