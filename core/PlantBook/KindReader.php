<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Calendar\Edge;
use PruningHook\Core\Calendar\Phenology;
use PruningHook\Core\Calendar\Region;
use PruningHook\Core\Calendar\Stations;
use PruningHook\Core\Calendar\WindowRule;
use PruningHook\Core\Fault;

/** Turns a decoded plant book entry into a Kind. The file has passed the schema; this catches what a schema cannot. */
final readonly class KindReader
{
    /** @param  Stations  $stations  at which the days of events are told */
    public function __construct(private Sources $sources, private Recipes $recipes, private Stations $stations)
    {
    }

    /** @throws Fault naming the place in the entry */
    public function read(Entry $kind): Kind
    {
        $growth = $kind->entry('growth_mm');

        return new Kind(
            id: $kind->string('id'),
            name: $kind->string('name'),
            botanical: $kind->string('botanical'),
            alsoCalled: $kind->strings('also'),
            habit: $kind->one('habit', Habit::class),
            wood: $kind->one('wood', FloweringWood::class),
            phenology: $this->phenology($kind),
            traits: $kind->strings('traits'),
            typicalHeightMm: $kind->int('typical_height_mm') ?? 1000,
            growthMm: $kind->has('growth_mm') ? [$growth->int('min') ?? 0, $growth->int('max') ?? 0] : null,
            lowestFrameworkMm: $kind->int('lowest_framework_mm'),
            usualCutMm: $kind->int('usual_cut_mm'),
            cautions: $kind->strings('cautions'),
            closures: array_map($this->closure(...), $kind->entries('closures')),
            tasks: $this->tasks($kind),
            about: $kind->string('about'),
            family: $kind->string('family', ''),
            vigour: $kind->one('vigour', Vigour::class, Vigour::Medium),
            hardCutting: $kind->one('hard_cutting', HardCutting::class, HardCutting::Slowly),
            bloomDegreeDays: $kind->int('bloom_degree_days_f'),
            removalCap: $kind->has('removal_cap')
                ? RemovalCaps::one($kind->entry('removal_cap'), $this->sources)
                : null,
            notFor: $kind->entry('not_for')->texts(),
            aftercare: $kind->strings('aftercare'),
            forms: $kind->has('forms') ? $kind->strings('forms') : ['free'],
        );
    }

    /** @return array<string, TaskRule> by key */
    private function tasks(Entry $kind): array
    {
        $tasks = [];
        foreach ($kind->entries('tasks') as $entry) {
            $task = $this->task($entry);
            $tasks[$task->key] = $task;
        }
        foreach ($tasks as $task) {
            if ($task->pair !== null && ! isset($tasks[$task->pair->task])) {
                throw $kind->fault(
                    'tasks',
                    sprintf('%s is paired with "%s", which is no task here', $task->key, $task->pair->task),
                );
            }
        }

        return $tasks;
    }

    private function phenology(Entry $kind): Phenology
    {
        $edges = [];
        $events = $kind->entry('phenology');
        foreach ($events->keys() as $event) {
            $edges[$event] = $events->parsed($event, $this->stations->event(...));
        }
        try {
            return Phenology::of($edges);
        } catch (Fault $fault) {
            throw $kind->fault('phenology', $fault->getMessage());
        }
    }

    private function task(Entry $task): TaskRule
    {
        $when = Condition::fromEntry($task->entry('when'));
        $methods = $this->conditionals($task, 'methods', fn (Entry $entry): string => $this->method($entry));

        return new TaskRule(
            key: $task->string('key'),
            name: $task->string('name'),
            // A new plant is only cleaned in its first year, unless the book says otherwise.
            when: $when->fromYearAtLeast(2),
            methods: $methods,
            windows: $this->conditionals($task, 'windows', $this->window(...)),
            amounts: $this->conditionals(
                $task,
                'amounts',
                fn (Entry $entry): AmountSpec => new AmountSpec($entry, $this->source($entry)),
            ),
            steps: $this->steps($task, $methods),
            effort: EffortRates::fromEntry($task->entry('minutes')),
            pair: $task->has('pair') ? $this->pair($task->entry('pair')) : null,
            early: $task->has('early') ? $this->outside($task->entry('early')) : null,
            late: $task->has('late') ? $this->outside($task->entry('late')) : null,
            stimulates: $task->bool('stimulates', true),
            takesFloweringWood: $task->bool('takes_flowering_wood', true),
            cautions: $task->strings('cautions'),
            everyDays: $task->int('every_days'),
            aftercare: $task->has('aftercare') ? $task->strings('aftercare') : null,
        );
    }

    /**
     * @template T
     *
     * @param  callable(Entry): T  $read
     * @return list<Conditional<T>>
     */
    private function conditionals(Entry $task, string $key, callable $read): array
    {
        $pieces = [];
        foreach ($task->entries($key) as $entry) {
            $pieces[] = Conditional::of(Condition::fromEntry($entry->entry('when')), $read($entry));
        }

        return $pieces;
    }

    private function method(Entry $entry): string
    {
        $key = $entry->string('use');
        if (! $this->recipes->has($key)) {
            throw $entry->fault('use', sprintf('"%s" is not a recipe', $key));
        }

        return $key;
    }

    /**
     * @param  list<Conditional<string>>  $methods
     * @return array<string, Wording> by key
     */
    private function steps(Entry $task, array $methods): array
    {
        $known = [];
        foreach ($methods as $method) {
            $known += $this->recipes->get($method->value)->steps;
        }
        $own = $task->entry('steps');
        $steps = [];
        foreach ($own->keys() as $key) {
            if (! isset($known[$key])) {
                throw $own->fault($key, 'no recipe of this task has such a step');
            }
            $steps[$key] = Wording::own($own, $key);
        }

        return $steps;
    }

    private function window(Entry $entry): TaskWindow
    {
        $edge = static fn (string $key): Edge => $entry->parsed($key, Edge::parse(...));

        return new TaskWindow(
            WindowRule::of($edge('opens'), $edge('best_from'), $edge('best_to'), $edge('closes')),
            $entry->string('because'),
            $this->source($entry),
        );
    }

    private function closure(Entry $entry): ClosureRule
    {
        return new ClosureRule(
            $entry->parsed('from', Edge::parse(...)),
            $entry->parsed('to', Edge::parse(...)),
            $entry->string('name', 'Closed'),
            $entry->string('because'),
            $this->source($entry),
            array_map(
                static fn (string $region): string => Region::tryFrom($region)->value ??
                    throw $entry->fault('regions', sprintf('"%s" is not a region', $region)),
                $entry->strings('regions'),
            ),
        );
    }

    private function outside(Entry $entry): OutsideWindow
    {
        return new OutsideWindow($entry->bool('closed', false), $entry->string('because'), $this->source($entry));
    }

    private function pair(Entry $entry): PairedTask
    {
        return new PairedTask(
            $entry->string('task'),
            $entry->bool('season_before', false),
            (float) $entry->number('factor', 1),
            $entry->string('step'),
            $this->source($entry),
        );
    }

    private function source(Entry $entry): string
    {
        return $entry->has('source')
            ? $entry->parsed('source', $this->sources->quote(...))
            : $this->sources->quote(Sources::COMMON);
    }
}
