<?php

declare(strict_types=1);

namespace App\Exercise;

use App\Gardens\Plants\Likenesses;
use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Plant;
use App\Knowledge\PlantBookFiles;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Exercise\Exercise;
use PruningHook\Core\Exercise\ExerciseCase;
use PruningHook\Core\Exercise\ExerciseCases;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Plant as CorePlant;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\Task;

/** Puts plants on the bench: cases of the library under the firm's own schools, and the firm's plants as they stand. */
final class Exercises
{
    private const OURS = 'plant-';

    private ?ExerciseCases $cases = null;

    private ?SiteYear $year = null;

    /** @var ?array<string, string> */
    private ?array $methods = null;

    public function __construct(
        private readonly PlantBook $book,
        private readonly PlantBookFiles $files,
        private readonly CorePlants $bridge,
        private readonly Likenesses $likenesses,
    ) {
    }

    public function cases(): ExerciseCases
    {
        return $this->cases ??= $this->files->readBench();
    }

    /** The link's key of one of the firm's plants. */
    public static function keyOf(Plant $plant): string
    {
        return self::OURS.$plant->id;
    }

    /** @throws Fault where there is no such case, or nothing to be cut on it */
    public function of(string $key, int $seed, Day $today): Practised
    {
        return str_starts_with($key, self::OURS)
            ? $this->ofPlant($key, $today)
            : $this->ofCase($this->cases()->named($key), $seed);
    }

    /** The task of a case, under the firm's schools. */
    public function task(ExerciseCase $case): Task
    {
        $task = Prescriber::with($this->book)->prescribe(
            new CorePlant('bench', $case->kind, heightMm: $case->heightMm, form: $case->form), $this->year(),
            $this->bridge->housePractice(),
        )->task($case->task);

        return $task ?? throw new Fault("the case \"$case->key\" has no task \"$case->task\" any more");
    }

    /**
     * The methods of the library's cases, under the firm's schools.
     *
     * @return array<string, string> by case
     */
    public function methods(): array
    {
        return $this->methods ??= array_map(function (ExerciseCase $case): string {
            foreach (Prescriber::with($this->book)->windows(
                new CorePlant('bench', $case->kind, heightMm: $case->heightMm, form: $case->form), $this->year(),
                $this->bridge->housePractice(),
            ) as $task) {
                if ($task->key === $case->task) {
                    return $task->methodKey;
                }
            }

            throw new Fault("the case \"$case->key\" has no task \"$case->task\" any more");
        }, $this->cases()->cases);
    }

    private function ofCase(ExerciseCase $case, int $seed): Practised
    {
        $kind = $this->book->kind($case->kind);
        $grows = $this->likenesses->grows(new CorePlant('bench', $case->kind, form: $case->form));

        return new Practised(
            $case->key, $seed, $case->level, $kind->name, ucfirst($case->fault).'.',
            Exercise::ofCase(
                $case, $kind, $grows, $this->task($case), KindYear::of($this->year(), $kind->phenology), $seed,
            ), null,
        );
    }

    private function ofPlant(string $key, Day $today): Practised
    {
        $id = substr($key, strlen(self::OURS));
        $row = preg_match('/^\d{1,18}$/', $id) === 1
            ? Plant::query()->with(['garden', 'workLogs', 'bloomNotes'])->find((int) $id)
            : null;
        if ($row === null || ! $this->book->has($row->kind)) {
            throw new Fault("there is no plant \"$id\" to practise on");
        }
        $kind = $this->book->kind($row->kind);
        $core = $this->bridge->plant($row, $today);
        $years = $this->bridge->years($row->garden);
        $year = $years->season(SiteYear::seasonOn($years->site, $today));
        $task = Likenesses::drawable(Prescriber::with($this->book)
            ->prescribe($core, $year, $this->bridge->practice($row->garden))->tasks)[0]
            ?? throw new Fault("there is nothing to be cut on $row->label that could be practised");
        $likeness = $this->likenesses->of($row, $core, $year, $task);
        $exercise = Exercise::of($kind, $task, KindYear::of($year, $kind->phenology), $likeness->living, $key);
        if ($exercise->isIdle()) {
            throw new Fault("there is nothing to be cut on $row->label as it stands");
        }

        return new Practised(
            $key, 0, 2, $row->label, "{$row->garden->name}; drawn by $likeness->restsOn.", $exercise, $row,
        );
    }

    private function year(): SiteYear
    {
        $cases = $this->cases();

        return $this->year ??= SiteYear::of($this->book->stations->named($cases->station)->site, $cases->season);
    }
}
