<?php

declare(strict_types=1);

namespace PruningHook\Core\Regrowth;

use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\FloweringWood;
use PruningHook\Core\PlantBook\Habit;
use PruningHook\Core\PlantBook\HardCutting;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Task;

/**
 * Up to three courses side by side for a plant's next main task: leave it, the usual cut, the hard one. What they give
 * follows from the kind's wood, vigour and answer to hard cutting. Figures are common practice of the trade.
 */
final readonly class Courses
{
    private function __construct(private PlantBook $book)
    {
    }

    public static function with(PlantBook $book): self
    {
        return new self($book);
    }

    /** @return list<Course> */
    public function of(Plant $plant, Task $task): array
    {
        $kind = $this->book->kind($plant->kind);
        $height = $plant->heightMm ?? $kind->typicalHeightMm;

        if ($task->handsOff !== null) {
            return [$this->leave($kind, $height, $task), $this->ask($kind, $height, $task->handsOff)];
        }
        $courses = [$this->leave($kind, $height, $task), $this->usual($kind, $height, $task)];

        // A tree is never topped: there is no hard cut for it but to a framework it is kept at (ANSI A300, from
        // memory).
        return $kind->habit === Habit::Tree && $kind->lowestFrameworkMm === null
            ? $courses
            : [...$courses, $this->hard($kind, $height, $task)];
    }

    /**
     * The usual cut as two or three schools do it, one course a school.
     *
     * @param  array<string, Task>  $tasks  the same task under each school, by the school in words
     * @return list<Course>
     */
    public function bySchool(Plant $plant, array $tasks): array
    {
        $kind = $this->book->kind($plant->kind);
        $height = $plant->heightMm ?? $kind->typicalHeightMm;
        $courses = [];
        foreach (array_slice($tasks, 0, 3, true) as $school => $task) {
            $courses[] = $this->usual($kind, $height, $task, ucfirst($school));
        }

        return $courses;
    }

    private function leave(Kind $kind, int $height, Task $task): Course
    {
        $flowers =
            $kind->wood === FloweringWood::None
                ? null
                : $height + ($kind->wood === FloweringWood::New ? $this->growth($kind) : 0);

        return new Course(
            'leave', 'Leave it', $height, $height + $this->extension($kind), $flowers,
            $kind->wood === FloweringWood::None ? 'it is not grown for flowers' : 'at its usual time', 0, 0, 0, 0,
            sprintf(
                'Old wood gathers, flowers move up and out of reach%s.',
                $task->minutes === 0
                    ? ''
                    : sprintf('; the next cut takes about %d min', $this->times($task->minutes, Figure::LeftOutTime)),
            ),
        );
    }

    private function ask(Kind $kind, int $height, string $why): Course
    {
        return new Course(
            'ask',
            'Ask an arborist',
            $height,
            $height + $this->extension($kind),
            $kind->wood === FloweringWood::None ? null : $height,
            $kind->wood === FloweringWood::None ? 'it is not grown for flowers' : 'at its usual time',
            0,
            0,
            0,
            0,
            "It $why: it is not the crew's work.",
        );
    }

    private function usual(Kind $kind, int $height, Task $task, ?string $name = null): Course
    {
        $after = $task->amount(Effect::CutHeight) ?? $task->amount(Effect::HeightAfter);
        $after = $after === null ? $height : min($height, $after->target);
        $share = $this->share($task, $height, $after);
        $flowers = $task->amount(Effect::FloweringHeight);

        return new Course(
            $name === null ? 'usual' : 'school',
            $name ?? $task->name,
            $after,
            $after +
                ($kind->wood === FloweringWood::New
                    ? max($this->growth($kind), $this->extension($kind))
                    : $this->extension($kind)),
            $kind->wood === FloweringWood::None
                ? null
                : $flowers->target ?? ($kind->wood === FloweringWood::New ? $after + $this->growth($kind) : $after),
            $kind->wood === FloweringWood::None ? 'it is not grown for flowers' : 'at its usual time',
            // In its window a task of the book throws no flowers away.
            0, 0, $task->minutes, $share, 'Little, in its window.',
        );
    }

    private function hard(Kind $kind, int $height, Task $task): Course
    {
        // Never past its lowest framework, nor past what may go in a season.
        $after = min($height, max(
            $kind->lowestFrameworkMm ?? (int) round($height / 3),
            (int) ceil($height * (100 - $task->budget->capPercent) / 100),
        ));
        $share = $height > 0 ? (int) round(100 * (1 - $after / $height)) : 0;
        [$years, $risk] = self::answer($kind);
        $regrows = $kind->lowestFrameworkMm !== null || $kind->hardCutting !== HardCutting::Badly;
        $flowersAt = $kind->wood === FloweringWood::New ? $after + $this->growth($kind) : $after;
        [$flowers, $lostPercent] = $this->afterHardCut($kind->wood);

        return new Course(
            'hard', 'Cut it hard', $after, $regrows ? max($flowersAt, $after + 2 * $this->extension($kind)) : $after,
            $kind->wood === FloweringWood::None || ! $regrows ? null : $flowersAt,
            $flowers, $lostPercent,
            $this->book->figures->number($years), $this->times($task->minutes, Figure::HardCutTime), $share, $risk,
        );
    }

    /** @return array{Figure, string} years until it is whole again, and what may go wrong */
    private static function answer(Kind $kind): array
    {
        if ($kind->lowestFrameworkMm !== null) {
            return [
                Figure::RecoverWell,
                'Down to its lowest framework and no further: expect strong shoots, and nothing if frost follows.',
            ];
        }

        return match ($kind->hardCutting) {
            HardCutting::Well => [
                Figure::RecoverWell,
                'It answers hard cutting well: expect strong shoots that want thinning.',
            ],
            HardCutting::Slowly => [
                Figure::RecoverSlowly,
                'It answers slowly: two or three years bare, and one stem in ten may not break.',
            ],
            HardCutting::Badly => [
                Figure::RecoverBadly,
                'It answers badly: what is cut into old wood may never break again. Replace it rather.',
            ],
        };
    }

    /** @return array{string, int} when it flowers after a hard cut, and per cent of its flowers lost */
    private function afterHardCut(FloweringWood $wood): array
    {
        return match ($wood) {
            FloweringWood::None => ['it is not grown for flowers', 0],
            FloweringWood::New => [
                sprintf('about %d days later', $this->book->figures->number(Figure::HardCutLater)), 0,
            ],
            FloweringWood::Both => ['only the later flowers, on new growth', 50],
            FloweringWood::Old => ['not before the season after next', 100],
        };
    }

    private function times(int $minutes, Figure $percent): int
    {
        return (int) round($minutes * $this->book->figures->number($percent) / 100);
    }

    private function share(Task $task, int $height, int $after): int
    {
        foreach ($task->amounts as $amount) {
            if ($amount->unit === '%') {
                return $amount->target;
            }
            if ($amount->effect === Effect::OldStemsOut) {
                return 33;
            }
        }

        return $height > 0 && $after < $height ? (int) round(100 * (1 - $after / $height)) : 15;
    }

    private function growth(Kind $kind): int
    {
        return $kind->growthMm === null ? $this->extension($kind) : intdiv($kind->growthMm[0] + $kind->growthMm[1], 2);
    }

    private function extension(Kind $kind): int
    {
        return $this->book->figures->number($kind->vigour->extension());
    }
}
