<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\LoggedWork;

/** The recipes the plant book may name, read from their files with the lines they share. */
final readonly class Recipes
{
    /** @var array<string, int> recipes that bring a plant back, and in how many seasons */
    public array $restoring;

    /** mm of rain that spare the first of what comes after any of them; null where none does */
    public ?int $leastRain;

    /** @param  array<string, Recipe>  $recipes  by key */
    private function __construct(private array $recipes)
    {
        $restoring = $rain = [];
        foreach ($recipes as $key => $recipe) {
            if ($recipe->restoresIn !== null) {
                $restoring[$key] = $recipe->restoresIn;
            }
            foreach ($recipe->followUps as $follow) {
                if ($follow->value->unlessRain !== null) {
                    $rain[] = $follow->value->unlessRain;
                }
            }
        }
        $this->restoring = $restoring;
        $this->leastRain = $rain === [] ? null : min($rain);
    }

    /**
     * @param  array<string, Entry>  $files  one recipe each, by the file's name
     * @param  Entry  $shared  `lines` and `follow_ups`
     *
     * @throws Fault naming the file, and the step, line or source that is not there
     */
    public static function read(array $files, Entry $shared, Sources $sources): self
    {
        $recipes = [];
        foreach ($files as $file => $entry) {
            try {
                $recipe = self::recipe($entry, $shared, $sources);
            } catch (Fault $fault) {
                throw new Fault("$file: ".$fault->getMessage(), previous: $fault);
            }
            if (isset($recipes[$recipe->key])) {
                throw new Fault("$file: there is a recipe \"$recipe->key\" already");
            }
            $recipes[$recipe->key] = $recipe;
        }

        return new self($recipes);
    }

    public function has(string $key): bool
    {
        return isset($this->recipes[$key]);
    }

    /** @throws Fault when there is no such recipe */
    public function get(string $key): Recipe
    {
        return $this->recipes[$key] ?? throw new Fault(sprintf('"%s" is not a recipe', $key));
    }

    /** @return array<string, Recipe> by key */
    public function all(): array
    {
        return $this->recipes;
    }

    private static function recipe(Entry $entry, Entry $shared, Sources $sources): Recipe
    {
        $steps = [];
        foreach ($entry->entries('steps') as $step) {
            $key = $step->string('key');
            if (isset($steps[$key])) {
                throw $step->fault('key', sprintf('there is a step "%s" already', $key));
            }
            $steps[$key] = match (true) {
                $step->has('line') => Wording::fromEntry(self::shared($shared, 'lines', $step, $step->string('line'))),
                $step->has('says'), $step->has('either') => Wording::fromEntry($step),
                default => new Wording([]),
            };
        }
        $source = $entry->has('source')
            ? $entry->parsed('source', $sources->quote(...))
            : $sources->quote(Sources::COMMON);

        return new Recipe(
            key: $entry->string('key'),
            name: $entry->string('name'),
            rank: $entry->whole('rank', 1),
            source: $source,
            steps: $steps,
            stems: $entry->has('stems') ? $entry->string('stems') : null,
            cap: $entry->has('cap') ? [$entry->whole('cap', 1), $sources->quote(Sources::COMMON)] : null,
            shears: $entry->bool('shears', false),
            ties: $entry->bool('ties', false),
            feeds: $entry->bool('feeds', false),
            gear: $entry->strings('gear'),
            followUps: array_map(
                static fn (string $key): Conditional => self::followUp(
                    self::shared($shared, 'follow_ups', $entry, $key), $key,
                ),
                [...$entry->strings('follow_ups'), ...self::afterAny($shared)],
            ),
            fromGround: $entry->bool('from_ground', false),
            holdsLine: $entry->bool('holds_line', false),
            restoresIn: $entry->int('restores_in'),
            low: $entry->bool('low', false),
            woodMm: $entry->int('wood_mm'),
        );
    }

    /** @return list<string> follow-ups that no recipe need name: they hang on what was found */
    private static function afterAny(Entry $shared): array
    {
        $follow = $shared->entry('follow_ups');

        return array_values(array_filter(
            $follow->keys(), static fn (string $key): bool => $follow->entry($key)->bool('if_diseased', false),
        ));
    }

    /** @return Conditional<FollowUp> */
    private static function followUp(Entry $entry, string $key): Conditional
    {
        $follow = new FollowUp(
            $key,
            $entry->int('after_days'),
            $entry->string('says'),
            $entry->has('name') ? $entry->string('name') : null,
            $entry->has('at') ? $entry->one('at', Anchor::class) : null,
            $entry->int('lasts') ?? 0,
            $entry->int('minutes') ?? 0,
            $entry->bool('if_diseased', false),
            $entry->int('unless_rain'),
        );
        if ($follow->unlessRain !== null && ($follow->unlessRain < 1 || $follow->afterDays !== LoggedWork::RAIN_DAYS)) {
            throw $entry->fault('unless_rain', sprintf(
                'it is at least 1 mm, and the rain is known of the first %d days: it goes with `after_days: %d`',
                LoggedWork::RAIN_DAYS, LoggedWork::RAIN_DAYS,
            ));
        }
        if ($follow->name !== null && ($follow->lasts < 1 || $follow->minutes < 1)) {
            throw $entry->fault('name', 'a follow-up with a name needs `lasts` and `minutes`');
        }
        if ($follow->name !== null && ($follow->at === null) === ($follow->afterDays === null)) {
            throw $entry->fault('name', 'a follow-up with a name comes either `after_days` or `at` an anchor');
        }

        return Conditional::of(Condition::fromEntry($entry->entry('when')), $follow);
    }

    private static function shared(Entry $shared, string $what, Entry $asking, string $key): Entry
    {
        return $shared->entry($what)->has($key)
            ? $shared->entry($what)->entry($key)
            : throw $asking->fault($what, sprintf('lines.yaml has no "%s"', $key));
    }
}
