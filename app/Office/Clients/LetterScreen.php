<?php

declare(strict_types=1);

namespace App\Office\Clients;

use App\Gardens\Plants\PlantDrawing;
use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Models\Visit;
use App\Ground\Support\Say;
use Illuminate\Support\HtmlString;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Reason;

/** What a client is told of the months to come: what is done when, why it looks bare, and what we ask of them. */
final readonly class LetterScreen
{
    private const DAYS = 184;

    /** Pictures of one letter: those of what shows most. */
    private const PICTURES = 4;

    /** Plants of one letter; a larger garden's is written in beds. */
    private const PLANTS = 150;

    public function __construct(
        private CorePlants $bridge,
        private PlantBook $book,
        private PlantDrawing $drawing,
    ) {
    }

    public function of(Garden $garden, Day $today): LetterPage
    {
        $plants = Plant::query()->with(['workLogs', 'bloomNotes']);
        $plants->where('garden_id', $garden->id)->orderBy('id')->limit(self::PLANTS);
        $planned = $this->planned($garden, $today);
        $lines = [];
        $pictures = self::PICTURES;
        foreach ($plants->get() as $plant) {
            $plant->setRelation('garden', $garden);
            foreach ($this->tasks($plant, $today) as $task) {
                $on = $planned["$plant->id:$task->key:$task->season"] ?? null;
                $after = AfterWords::of($task->amounts);
                $picture = $after !== null && $pictures > 0
                    ? $this->picture($plant, $task, $today)
                    : null;
                $pictures -= $picture === null ? 0 : 1;
                $lines[] = new LetterLine(
                    $on ?? $task->window->bestFrom, $on === null ? $task->window->bestTo : null,
                    $plant->label, $task->name, self::why($task), $after, $picture,
                );
            }
        }
        usort($lines, static fn (LetterLine $a, LetterLine $b): int => [$a->on->number, $a->plant]
            <=> [$b->on->number, $b->plant]);
        $months = [];
        foreach ($lines as $line) {
            // What could be done since a while is done as soon as may be.
            $day = $line->on->isBefore($today) ? $today : $line->on;
            $months[Say::monthOf($day)][] = $line;
        }

        return new LetterPage(Firm::ours(), $garden, $today, $months, $this->asks($lines, $planned !== []));
    }

    /** @return list<Task> of the crew, in the months to come, and not done */
    private function tasks(Plant $plant, Day $today): array
    {
        if (! $this->book->has($plant->kind)) {
            return [];
        }
        $core = $this->bridge->plant($plant, $today);
        $years = $this->bridge->years($plant->garden);
        $season = SiteYear::seasonOn($years->site, $today);
        $within = Span::of($today, $today->plus(self::DAYS));
        $tasks = [];
        foreach ([$season, $season + 1] as $each) {
            foreach (Prescriber::with($this->book)->prescribe(
                $core, $years->season($each), $this->bridge->practice($plant->garden), $within,
            )->tasks as $task) {
                if ($task->handsOff === null && $task->methodKey !== LoggedWork::FOLLOW_UP
                    && $core->logged($task->key, $task->season)?->outcome->isDone() !== true
                    && ! $task->window->bestTo->isBefore($today)
                    && ! $task->window->bestFrom->isAfter($within->to)) {
                    $tasks[] = $task;
                }
            }
        }

        return $tasks;
    }

    private function picture(Plant $plant, Task $task, Day $today): ?HtmlString
    {
        return $this->drawing->ofTask($plant, $task->key, "$plant->label for ".lcfirst($task->name), $today);
    }

    /** @return array<string, Day> the day of what stands on a visit to come, by plant, task and season */
    private function planned(Garden $garden, Day $today): array
    {
        $visits = Visit::query()->with('tasks');
        $visits->where('garden_id', $garden->id)->where('on', '>=', (string) $today);
        $planned = [];
        foreach ($visits->get() as $visit) {
            foreach ($visit->tasks as $task) {
                $planned["$task->plant_id:$task->task:$task->season"] = $visit->on;
            }
        }

        return $planned;
    }

    private static function why(Task $task): string
    {
        $because = array_map(static fn (Reason $reason): string => $reason->because, $task->reasons);

        return rtrim($because[0] ?? $task->method, '.');
    }

    /**
     * @param  list<LetterLine>  $lines
     * @return list<string>
     */
    private function asks(array $lines, bool $isPlanned): array
    {
        return $lines === [] ? [] : [
            $isPlanned
                ? 'Leave the gate open on the days that stand above, or tell us where the key is.'
                : 'We tell you the days as soon as they are planned.',
            'Say where birds nest: an active nest stops the work on its plant, by law in most places.',
            'Keep children and dogs out of the beds while we work.',
            'If a day does not suit you, ask to move it: the windows leave room.',
        ];
    }
}
