<?php

declare(strict_types=1);

namespace App\Season\Due;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Finding;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Amount\LoggedAmounts;
use PruningHook\Core\Calendar\Closure;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Hemisphere;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Fault;
use PruningHook\Core\Planning\Agenda;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Plant\Growing;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant as CorePlant;
use PruningHook\Core\PlantBook\PlantBook;
use stdClass;
use Throwable;

/**
 * Works out what is due in one garden over a stretch of days, plant by plant. What cannot be worked out of one plant is
 * said of that plant, and keeps none of the others.
 *
 * @phpstan-import-type TaskRow from KeptGarden
 * @phpstan-import-type PlantRow from KeptGarden
 */
final readonly class DueCalculator
{
    public function __construct(private PlantBook $book, private CorePlants $bridge)
    {
    }

    public function calculate(Garden $garden, int $from, int $to, Day $today): KeptGarden
    {
        $span = Span::of(Day::fromNumber($from), Day::fromNumber($to));
        [$histories, $grown] = $this->histories($garden);
        $tasks = [];
        $plants = [];
        $kinds = $asked = [];
        foreach ($garden->plants as $plant) {
            $plant->setRelation('garden', $garden);
            [$id, $kind] = [$plant->id, $plant->kind];
            $faults = [];
            $bloom = $closed = '[]';
            try {
                $years = $this->bridge->years($garden);
                $asked += array_fill_keys($this->book->kind($kind)->questions(), true);
                [$closed, $bloom, $faults] = $kinds[$kind] ??= $this->nature(
                    $kind, $years->reaching($span->from, $span->to),
                );
                $faults = $plant->own_practice ? [...$faults, ...$this->bridge->putAside($plant->practice)] : $faults;
                $core = $this->bridge->plant($plant, $today, $histories[$id] ?? [], $grown[$id] ?? []);
                array_push($tasks, ...$this->tasks($plant, $core, $years, $span));
            } catch (Fault $fault) {
                $faults[] = ucfirst($fault->getMessage()).'.';
            } catch (Throwable $error) {
                report($error);
                $faults[] = 'It could not be worked out; what went wrong is in the log.';
            }
            $plants[] = [
                'plant_id' => $id, 'garden_id' => $garden->id, 'kind' => $kind, 'bloom' => $bloom,
                'closed' => $closed, 'fault' => $faults === [] ? null : implode(' ', $faults),
            ];
        }

        return new KeptGarden(
            $garden->id, $garden->revision, $from, $to, $tasks, $plants,
            Basis::winters(Hemisphere::at($garden->latitude), $today), array_keys($asked),
            PastTreatments::of($garden->id),
        );
    }

    /**
     * @param  list<SiteYear>  $seasons
     * @return array{string, string, list<string>} closures and bloom as JSON, faults
     */
    private function nature(string $kind, array $seasons): array
    {
        [$closed, $bloom, $faults] = PlantYear::nature($this->book->kind($kind), $seasons);

        return [
            (string) json_encode(
                array_map(
                    static fn (Closure $closure): array => [
                        $closure->from->number,
                        $closure->to->number,
                        $closure->name,
                    ],
                    $closed,
                ),
            ),
            (string) json_encode(
                array_map(static fn (Span $flowers): array => [$flowers->from->number, $flowers->to->number], $bloom),
            ),
            $faults,
        ];
    }

    /**
     * @return list<TaskRow>
     *
     * @throws Fault where its facts contradict each other
     */
    private function tasks(Plant $plant, CorePlant $core, SiteYears $years, Span $span): array
    {
        $due = Agenda::with($this->book)->between(
            $core, $years, $this->bridge->practice($plant->garden), $span->from, $span->from, $span->to,
        );

        return array_map(
            static fn (DueTask $each): array => self::row($plant->garden_id, $plant->id, $plant->kind, $each), $due,
        );
    }

    /** @return TaskRow */
    private static function row(int $garden, int $plant, string $kind, DueTask $due): array
    {
        $task = $due->task;

        return [
            'garden_id' => $garden,
            'plant_id' => $plant,
            'kind' => $kind,
            'season' => $task->season,
            'task' => $task->key,
            'name' => $task->name,
            'method' => $task->methodKey,
            'opens' => $task->window->opens->number,
            'best_from' => $task->window->bestFrom->number,
            'best_to' => $task->window->bestTo->number,
            'closes' => $task->window->closes->number,
            'minutes' => $task->minutes,
            'people' => $task->people,
            'skills' => (string) json_encode($task->skills),
            'hands_off' => $task->handsOff,
            'outcome' => $due->outcome?->value,
            'logged_on' => $due->loggedOn?->number,
            'done' => $due->outcome?->isDone() === true,
        ];
    }

    /**
     * The record as far as windows and minutes rest on it, read without what they do not.
     *
     * @return array{array<int, list<LoggedWork>>, array<int,
     *     list<int>>} by plant: its record, and what it has shown of its growth
     */
    private function histories(Garden $garden): array
    {
        $histories = $cuts = [];
        $logs = DB::table('work_logs')
            ->whereIn('plant_id', $garden->plants->modelKeys())
            ->orderBy('id')
            ->get(['plant_id', 'task', 'recipe', 'season', 'on', 'outcome', 'minutes', 'removed_percent', 'amounts',
                'findings', 'rain_mm']);
        foreach ($logs as $log) {
            /** @var list<array{what: string, unit: string, value: int}> $amounts */
            $amounts = in_array($log->amounts, ['[]', null], true) ? [] : (array) json_decode($log->amounts, true);
            $histories[(int) $log->plant_id][] = new LoggedWork(
                $log->task,
                (int) $log->season,
                Day::parse($log->on),
                Outcome::from($log->outcome),
                $log->minutes === null ? null : (int) $log->minutes,
                $log->removed_percent === null ? null : (int) $log->removed_percent,
                recipe: $log->recipe,
                taken: LoggedAmounts::taken($amounts),
                diseased: str_contains((string) $log->findings, '"'.Finding::Disease->value.'"'),
                rainMm: $log->rain_mm === null ? null : (int) $log->rain_mm,
            );
            $cut = LoggedAmounts::cutMm($amounts);
            if ($cut !== null) {
                $cuts[(int) $log->plant_id][(int) $log->season][(string) $log->on] = $cut;
            }
        }

        return [$histories, $this->grown($cuts)];
    }

    /**
     * @param  array<int, array<int, array<string, int>>>  $cuts  heights by plant, season and day
     * @return array<int, list<int>> by plant
     */
    private function grown(array $cuts): array
    {
        $grown = [];
        $notes = $cuts === [] ? [] : DB::table('bloom_notes')->whereIn('plant_id', array_keys($cuts))
            ->whereNotNull('flowering_height_mm')->orderBy('season')
            ->get(['plant_id', 'season', 'flowering_height_mm'])->groupBy('plant_id');
        foreach ($notes as $plant => $of) {
            $latest = array_map(static function (array $days): int {
                ksort($days);

                return $days[array_key_last($days)];
            }, $cuts[(int) $plant]);
            $flowered = $of
                ->mapWithKeys(
                    static fn (stdClass $note): array => [(int) $note->season => (int) $note->flowering_height_mm],
                )
                ->all();
            $grown[(int) $plant] = Growing::seen($latest, $flowered);
        }

        return $grown;
    }
}
