<?php

declare(strict_types=1);

namespace App\Season\Due;

use PruningHook\Core\Calendar\Day;

/**
 * Everything that is kept of what is due in one garden, as the rows of the tables have it. What it rests on is said by
 * the revision it was read at.
 *
 * @phpstan-import-type TreatmentRow from PastTreatments
 *
 * @phpstan-type TaskRow array{garden_id: int, plant_id: int, kind: string, season: int, task: string, name: string,
 *     method: string, opens: int, best_from: int, best_to: int, closes: int, minutes: int, people: int, skills: string,
 *     hands_off: ?string, outcome: ?string, logged_on: ?int, done: bool}
 * @phpstan-type PlantRow array{plant_id: int, garden_id: int, kind: string, bloom: string, closed: string,
 *     fault: ?string}
 */
final readonly class KeptGarden
{
    /**
     * @param  list<TaskRow>  $tasks
     * @param  list<PlantRow>  $plants
     * @param  int  $winters  midwinters its plants were aged by
     * @param  list<string>  $questions  of practice that its plants turn on
     * @param  list<TreatmentRow>  $treatments
     */
    public function __construct(
        public int $garden,
        public int $revision,
        public int $from,
        public int $to,
        public array $tasks,
        public array $plants,
        public int $winters,
        public array $questions,
        public array $treatments,
    ) {
    }

    /**
     * How many tasks not yet done are open, and at their best, in each week.
     *
     * @return list<array{garden_id: int, week: int, open: int, best: int}> by week; those with none are left out
     */
    public function weeks(): array
    {
        $open = $best = [];
        foreach ($this->tasks as $task) {
            foreach ($task['done'] ? [] : $this->mondays($task['opens'], $task['closes']) as $week) {
                $open[$week] = ($open[$week] ?? 0) + 1;
            }
            foreach ($task['done'] ? [] : $this->mondays($task['best_from'], $task['best_to']) as $week) {
                $best[$week] = ($best[$week] ?? 0) + 1;
            }
        }
        ksort($open);

        return array_map(
            fn (int $week, int $count): array => [
                'garden_id' => $this->garden,
                'week' => $week,
                'open' => $count,
                'best' => $best[$week] ?? 0,
            ],
            array_keys($open),
            $open,
        );
    }

    /**
     * Person-minutes of what is open, in the month of the middle of its best days.
     *
     * @return list<array{garden_id: int, month: int, minutes: int}>
     */
    public function months(): array
    {
        $minutes = [];
        foreach ($this->tasks as $task) {
            if (! $task['done'] && $task['hands_off'] === null) {
                $middle = Day::fromNumber(intdiv($task['best_from'] + $task['best_to'], 2));
                $month = 12 * $middle->year() + $middle->month() - 1;
                $minutes[$month] = ($minutes[$month] ?? 0) + $task['minutes'];
            }
        }

        return array_map(
            fn (int $month, int $sum): array => [
                'garden_id' => $this->garden, 'month' => $month, 'minutes' => $sum,
            ],
            array_keys($minutes),
            $minutes,
        );
    }

    /** @return list<int> the Mondays of the weeks that a stretch of days touches, as far as this reaches */
    private function mondays(int $from, int $to): array
    {
        $weeks = [];
        $last = min($to, $this->to);
        for ($week = Day::fromNumber(max($from, $this->from))->monday()->number; $week <= $last; $week += 7) {
            $weeks[] = $week;
        }

        return $weeks;
    }
}
