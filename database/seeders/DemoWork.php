<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Field\PlanVisit;
use App\Field\Record\LogWork;
use App\Ground\Bridge\CorePlants;
use App\Ground\Models\BloomNote;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Models\Regrowth;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Ground\Models\WorkLog;
use App\Ground\Support\Today;
use App\Season\Due\SignShifts;
use App\Season\TaskChoice;
use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Planning\Agenda;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\Planning\Urgency;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\SeasonReader;

/**
 * Two seasons of made-up work: visits planned the way the product plans them, logged with the small failures of real
 * rounds. Which task fails is drawn from its own name, so that the demo is the same each time it is made on a day.
 */
final readonly class DemoWork
{
    private const PAST_DAYS = 760;

    /** From a late winter cut to full bloom, at the most. */
    private const TO_BLOOM_DAYS = 200;

    /** About what two people do in a day. */
    private const VISIT_MINUTES = 720;

    /** Most tasks on one visit. */
    private const VISIT_TASKS = 7;

    public function __construct(
        private PlantBook $book,
        private CorePlants $bridge,
        private PlanVisit $planner,
        private LogWork $logger,
        private SignShifts $shifts,
    ) {
    }

    /** Signs of spring that the crews have seen: this year is about a week early in the valley. */
    public function signs(Garden $garden, Day $today, int $index): void
    {
        $site = $this->bridge->site($garden);
        $season = SiteYear::seasonOn($site, $today);
        $average = SiteYear::of($site, $season);
        $early = ['witch-hazel-bloom' => -9, 'forsythia-bloom' => -7, 'plum-bloom' => -7, 'lilac-bloom' => -6];
        foreach ($early as $event => $late) {
            $on = SeasonReader::with($this->book)->expected($event, $average)->plus($late + $index % 3);
            if (! $on->isAfter($today) && $index % 2 === 0) {
                $garden->observations()->create(['event' => $event, 'on' => (string) $on, 'season' => $season]);
            }
        }
        // The plans that follow are made by what was seen.
        $this->shifts->weigh(Firm::ours());
    }

    /** Visits of the two years before today, all logged. */
    public function past(Garden $garden, Day $today, User $lead): void
    {
        $due = array_filter(
            $this->due($garden, $today, $today->minus(self::PAST_DAYS), $today),
            // What closes about now is left for today's planner to find.
            static fn (array $item): bool => $item['due']->daysLeft() < -3
                && self::draw($item['plant'], $item['due'], 12) !== 1,
        );
        while ($due !== []) {
            usort(
                $due,
                static fn (array $a, array $b): int => $a['due']->task->window->bestTo->number <=>
                    $b['due']->task->window->bestTo->number,
            );
            $first = $due[0]['due']->task->window;
            $on = Day::earliest(
                $first->bestFrom->plus((int) ($first->bestFrom->daysUntil($first->bestTo) * 0.6)),
                $today->minus(4),
            );
            $on = $on->minus(max(0, $on->weekday() - 5));
            [$together, $due] = self::takeOpenOn($due, $on);
            if ($together === []) {
                array_shift($due);

                continue;
            }
            $this->asOf($on, function () use ($garden, $on, $together, $lead): void {
                foreach ($this->visit($garden, $on, $together, $lead)->tasks as $task) {
                    $this->log($task, $lead);
                }
            });
            $this->blooms($garden, $on, $today);
        }
    }

    /** What somebody noted of the bloom after a cut that decides its height: a little off what was foretold. */
    private function blooms(Garden $garden, Day $cut, Day $today): void
    {
        $logs = WorkLog::query()->with('visitTask')->where('on', (string) $cut)
            ->whereIn('plant_id', $garden->plants->pluck('id'))->get();
        foreach ($logs as $log) {
            $height = $log->visitTask->prescribed->amount(Effect::FloweringHeight);
            if ($height === null || ! $log->outcome->isDone() || $cut->plus(self::TO_BLOOM_DAYS)->isAfter($today)) {
                continue;
            }
            $seed = crc32("bloom $log->plant_id $log->season");
            BloomNote::query()->updateOrCreate(['plant_id' => $log->plant_id, 'season' => $log->season], [
                'flowering_height_mm' => $height->target + 40 * ($seed % 6 - 2), 'score' => 2 + $seed % 4,
                'regrowth' => Regrowth::cases()[$seed % 3], 'diseased' => $seed % 5 === 0,
            ]);
        }
    }

    /** The first day of the demo's record: what was measured then is carried on by it. */
    public static function begin(Day $today): Day
    {
        return $today->minus(self::PAST_DAYS);
    }

    /** What was done on a day is prescribed as the plants stood that day. */
    private function asOf(Day $day, callable $do): void
    {
        $today = config('hook.today');
        config(['hook.today' => (string) $day]);
        $this->bridge->forget();
        try {
            $do();
        } finally {
            config(['hook.today' => $today]);
            $this->bridge->forget();
        }
    }

    /** A visit today for some gardens, and one next week for others, so that the crew has a round. */
    public function coming(Garden $garden, Day $today, User $planner, int $index): void
    {
        $garden->load('plants.workLogs');
        $in = [0, 0, 3, 8, 1, 15][$index % 6];
        $on = $today->plus($in);
        // Nobody works at the weekend; what is there today is there whatever day it is.
        $on = $in > 0 && $on->weekday() > 5 ? $on->plus(8 - $on->weekday()) : $on;
        // The closing ones stay unplanned in every other garden: somebody must still find them.
        $due = array_filter(
            $this->due($garden, $today, $on, $on),
            static fn (array $item): bool => $item['due']->urgency !== Urgency::Done
                && ($index % 2 === 0 || $item['due']->urgency !== Urgency::Closing),
        );
        [$together] = self::takeOpenOn(array_values($due), $on);
        $minutes = 0;
        $fits = array_values(array_filter($together, static function (array $item) use (&$minutes): bool {
            $longer = $minutes + $item['due']->task->minutes;

            return $longer <= self::VISIT_MINUTES && ($minutes = $longer) > 0;
        }));
        if ($fits !== []) {
            $this->visit($garden, $on, array_slice($fits, 0, 5), $planner);
        }
    }

    /** @return list<array{plant: Plant, due: DueTask}> what is the crew's */
    private function due(Garden $garden, Day $today, Day $from, Day $to): array
    {
        $due = [];
        $agenda = Agenda::with($this->book);
        foreach ($garden->plants as $plant) {
            foreach (
                $agenda->between(
                    $this->bridge->plant($plant, Today::day()),
                    $this->bridge->years($garden),
                    $this->bridge->practice($garden),
                    $today,
                    $from,
                    $to,
                ) as $task
            ) {
                if ($task->task->handsOff === null) {
                    $due[] = ['plant' => $plant, 'due' => $task];
                }
            }
        }

        return $due;
    }

    /**
     * @param  list<array{plant: Plant, due: DueTask}>  $due
     * @return array{list<array{plant: Plant, due: DueTask}>, list<array{plant: Plant, due: DueTask}>}
     */
    private static function takeOpenOn(array $due, Day $on): array
    {
        $taken = [];
        $left = [];
        foreach ($due as $item) {
            $fits = $item['due']->task->window->contains($on) && count($taken) < self::VISIT_TASKS;
            $fits ? $taken[] = $item : $left[] = $item;
        }

        return [$taken, $left];
    }

    /** @param  list<array{plant: Plant, due: DueTask}>  $items */
    private function visit(Garden $garden, Day $on, array $items, User $by): Visit
    {
        $choices = array_map(static fn (array $item): TaskChoice => new TaskChoice(
            $item['plant']->id, $item['due']->task->key, $item['due']->task->season,
        ), $items);

        return $this->planner->write(
            $this->planner->ready($garden, $on, $choices, null, Today::day()), $garden->crew_id, $by,
        );
    }

    private function log(VisitTask $task, User $by): void
    {
        $seed = crc32("$task->task $task->plant_id $task->season");
        $outcome = match ($seed % 11) {
            0 => 'not-done',
            1 => 'partly',
            default => 'done',
        };
        $amounts = array_map(
            static fn (Amount $amount): array => $amount->logged(min(
                $amount->max,
                max($amount->min, $amount->target + ($seed % 3) - 1),
            )),
            $task->prescribed->amounts,
        );
        $this->logger->log(
            $task,
            [
                'outcome' => $outcome,
                'why' => $outcome === 'done' ? null : ['time', 'weather', 'reach'][$seed % 3],
                'minutes' => $outcome === 'not-done'
                        ? null
                        : (int) round($task->prescribed->minutes * (0.75 + ($seed % 60) / 100)),
                'removed_percent' => $outcome === 'not-done' ? null : [10, 15, null, 20, 25][$seed % 5],
                'amounts' => $outcome === 'not-done' ? [] : $amounts,
                'findings' => [
                    ['all-well'], ['dead-wood'], ['all-well'], ['weak-growth'], ['all-well'], ['broken-support'],
                    ['all-well'], ['disease'],
                ][$seed % 8],
                'note' => null,
                'left_for_next_year' => $seed % 4 === 0
                        ? [
                            'The oldest stem at the back comes out next year', 'Two ties to renew',
                            'Fill the gap on the left from the new shoot', 'Check the graft for suckers',
                        ][intdiv($seed % 16, 4)]
                        : null,
            ],
            $by,
        );
    }

    private static function draw(Plant $plant, DueTask $due, int $of): int
    {
        return crc32("$plant->label {$due->task->key} {$due->task->season}") % $of;
    }
}
