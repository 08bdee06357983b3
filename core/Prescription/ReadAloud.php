<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\AmountCase;
use PruningHook\Core\Amount\AmountRules;
use PruningHook\Core\Amount\Budget;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Region;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Method\Steps;
use PruningHook\Core\Plant\Circumstances;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\State;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\PlantBook\Conditional;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\Schools\ChosenSchools;

/**
 * Reads every task of a kind as a crew would hear it, in every circumstance its pieces look at, for a plant nobody has
 * measured and for one that is measured in full. What a good gardener would stumble over is a fault of the book: an
 * amount no step says, one over its cap, none of a thing, or two steps that ask for a thing and forbid it.
 */
final readonly class ReadAloud
{
    /**
     * What one step forbids, and how another would ask for it all the same.
     */
    private const OPPOSITES = [
        'shortening' => [
            '/\bshorten nothing\b/i',
            '/(?<!nor )\bshorten(?! nothing|(?:s|ing)\b)\b|\bbring (?:it|the \w+) (?:down )?(?:to|by)\b|\bcut each '
                .'branch\b/i',
        ],
        'healthy growth' => [
            '/\ball healthy growth on\b/i',
            '/\bcut (?:every|all)\b|\btake out \d|\bcount the old stems\b/i',
        ],
        'spurs' => ['/\bspurs alone\b/i', '/\bthin\b[^.]*\bspurs?\b/i'],
        'the height' => [
            '/\bheight alone\b|\bno top is cut\b/i',
            '/\btrim the top\b|\bcut each branch\b|\bbring (?:it|the \w+) (?:down )?to\b/i',
        ],
        'old stems' => ['/\btake no old stem\b/i', '/\btake (?:out )?(?:the oldest|\d+ of)\b/i'],
        'bare wood' => [
            '/\b(?:never|not) into bare wood\b|\bdo not cut it down\b/i',
            '/\bback to its stems\b|\bat the ground\b|\bcut all of it\b/i',
        ],
        'the leaders' => ['/\bleave the leaders\b/i', '/\bshorten the leaders\b/i'],
    ];

    /** What is said once in a task. */
    private const ONCE = ['/\bthree cuts\b/i', '/\bfigure of eight\b/i', '/\bclear up\b/i'];

    /** Left to itself. */
    private const FREE = 'free';

    /** Any season will do: the plants that are read for have no record. */
    private const SEASON = 2027;

    public function __construct(private PlantBook $book)
    {
    }

    /** @return list<string> faults, each naming the task; empty where all reads well */
    public function faults(Kind $kind): array
    {
        return $this->read($kind)[0];
    }

    /**
     * Every task of a kind, read in every circumstance.
     *
     * @return array{list<string>, int} the faults, and how many amounts its tasks have between them
     */
    public function read(Kind $kind): array
    {
        $faults = $amounts = [];
        $plants = [$this->bare($kind), $this->measured($kind)];
        foreach ($kind->tasks as $task) {
            foreach ($this->circumstances($kind, $task) as $circumstances) {
                foreach ($task->when->holds($circumstances) ? $plants : [] as $plant) {
                    $worked = $this->worked($kind, $task, $plant, $circumstances);
                    foreach ($worked as $amount) {
                        $amounts["$task->key $amount->what"] = true;
                    }
                    foreach ($this->reading($kind, $task, $plant, $circumstances, $worked) as $fault) {
                        $faults["$task->key: $fault"] = true;
                    }
                }
            }
        }
        foreach (array_diff($kind->forms, [self::FREE]) as $form) {
            if ($this->under($kind, $form) === $this->under($kind, null) && $kind->forms !== [$form]) {
                $faults["forms: nothing changes where it is grown as \"$form\""] = true;
            }
        }

        return [array_keys($faults), count($amounts)];
    }

    /**
     * Everything a kind's tasks come to in one form: recipes, amounts and the words of their steps.
     *
     * @return list<array{string, string, list<string>, list<string>}>
     */
    private function under(Kind $kind, ?string $form): array
    {
        $tasks = [];
        foreach ($kind->tasks as $task) {
            $circumstances = new Circumstances(
                WinterClass::Cool, ChosenSchools::of($this->book->questions), null, $form, null, $kind->has('grafted'),
                $kind->traits,
            );
            if ($task->when->holds($circumstances)) {
                $amounts = $this->worked($kind, $task, $this->measured($kind), $circumstances);
                $recipe = $this->book->recipes->get($task->method($circumstances));
                $tasks[] = [
                    $task->key,
                    $recipe->key,
                    array_map(static fn (Amount $amount): string => $amount->what.' '.$amount->inWords(), $amounts),
                    array_values(Steps::chosen($recipe, $task, $this->measured($kind), $circumstances, $amounts)),
                ];
            }
        }

        return $tasks;
    }

    /**
     * @param  list<Amount>  $amounts  as they are worked out in these circumstances
     * @return list<string>
     */
    private function reading(
        Kind $kind,
        TaskRule $task,
        Plant $plant,
        Circumstances $circumstances,
        array $amounts,
    ): array {
        $recipe = $this->book->recipes->get($task->method($circumstances));
        $chosen = Steps::chosen($recipe, $task, $plant, $circumstances, $amounts);
        $spoken = implode("\n", $chosen);
        [$cap] = $this->book->caps->for($kind, $recipe->key);
        $faults = [];
        foreach ($amounts as $amount) {
            $said = str_contains($spoken, '{'.$amount->what.'}') || str_contains($spoken, '{='.$amount->what.'}')
                || ($amount->effect === Effect::OldStemsOut && str_contains($spoken, '{old of all}'));
            if (! $said) {
                $faults[] = "$recipe->key says nothing of \"$amount->what\"";
            }
            if ($amount->effect === Effect::LiveShare && $amount->max > $cap) {
                $faults[] = "\"$amount->what\" goes to $amount->max %, and $cap % is the cap of $recipe->key";
            }
        }
        $told = Steps::for($recipe, $task, $plant, $circumstances, $amounts, []);

        return [...$faults, ...self::stumbles($told)];
    }

    /**
     * @param  list<string>  $told
     * @return list<string>
     */
    private static function stumbles(array $told): array
    {
        $faults = [];
        foreach ($told as $step) {
            if (preg_match('/(?<![\d.,])0 (?!%)[a-z]/', $step) === 1) {
                $faults[] = "a step tells of none: \"$step\"";
            }
        }
        foreach (self::OPPOSITES as $what => [$forbids, $asks]) {
            $forbidding = self::saying($forbids, $told);
            $asking = array_values(array_diff(self::saying($asks, $told), $forbidding));
            if ($forbidding !== [] && $asking !== []) {
                $faults[] = sprintf(
                    'one step forbids %s and another asks for it: "%s" / "%s"', $what, $forbidding[0], $asking[0],
                );
            }
        }
        foreach (self::ONCE as $once) {
            $said = self::saying($once, $told);
            if (count($said) > 1) {
                $faults[] = sprintf('said twice: "%s"', implode('" / "', $said));
            }
        }

        return $faults;
    }

    /**
     * @param  list<string>  $told
     * @return list<string>
     */
    private static function saying(string $pattern, array $told): array
    {
        return array_values(array_filter($told, static fn (string $step): bool => preg_match($pattern, $step) === 1));
    }

    /** @return list<Amount> */
    private function worked(Kind $kind, TaskRule $task, Plant $plant, Circumstances $circumstances): array
    {
        // As the book writes them: what a budget leaves is another matter.
        $case = new AmountCase(
            $plant, $kind, self::SEASON, $task->method($circumstances), Budget::of(100, '', [], self::SEASON),
        );
        $amounts = [];
        foreach (Conditional::holding($task->amounts, $circumstances) as $spec) {
            $amounts = [...$amounts, ...AmountRules::of($spec)->for($case)->amounts];
        }

        return $amounts;
    }

    /**
     * Every combination of what the task's pieces look at: the values they name, and none of them.
     *
     * @return iterable<Circumstances>
     */
    private function circumstances(Kind $kind, TaskRule $task): iterable
    {
        foreach ($this->choices($task) as $one) {
            yield new Circumstances(
                WinterClass::from($one['winter'] ?? WinterClass::Cool->value),
                ChosenSchools::of(
                    $this->book->questions,
                    array_filter(array_intersect_key($one, $this->book->questions), is_string(...)),
                ),
                isset($one['year']) ? (int) $one['year'] : null,
                $one['form'] ?? null,
                $one['aim'] ?? null,
                $kind->has('grafted'),
                $kind->traits,
                Region::tryFrom($one['region'] ?? ''),
                $one['condition'] ?? null,
                new State(
                    transplanted: isset($one['moved']) ? Day::of(2020, 1, 1) : null,
                    exposed: isset($one['exposed']),
                    bearing: $one['bearing'] ?? null,
                    rootstock: $one['rootstock'] ?? null,
                    growth: $one['growth'] ?? null,
                ),
            );
        }
    }

    /**
     * Every choice of what a task's conditions look at; null stands for what they do not name.
     *
     * @return list<array<string, ?string>>
     */
    private function choices(TaskRule $task): array
    {
        $named = [];
        foreach ($task->conditions() as $condition) {
            foreach ($condition->looksAt() as $key => $values) {
                $named[$key] = [...$named[$key] ?? [], ...$values];
            }
        }
        unset($named['trait'], $named['grafted']);
        $each = [[]];
        foreach ($named as $key => $values) {
            $values = match (true) {
                $key === 'winter' => array_column(WinterClass::cases(), 'value'),
                isset($this->book->questions[$key]) => array_keys($this->book->questions[$key]->options),
                default => [...array_unique($values), null],
            };
            $longer = [];
            foreach ($values as $value) {
                foreach ($each as $one) {
                    $longer[] = [...$one, $key => $value];
                }
            }
            $each = $longer;
        }

        return $each;
    }

    private function bare(Kind $kind): Plant
    {
        return new Plant('p', $kind->id);
    }

    private function measured(Kind $kind): Plant
    {
        return new Plant(
            'p', $kind->id,
            planted: Day::parse('2015-03-01'),
            heightMm: $kind->typicalHeightMm,
            spreadMm: $kind->typicalHeightMm,
            runMm: 6000,
            floweringHeightMm: $kind->typicalHeightMm,
            stems: StemCount::of(9, 4),
            pruningsG: 900,
        );
    }
}
