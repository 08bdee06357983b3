<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;

/**
 * How much of a plant's live growth may go in a season, in per cent: by the recipe where it says so (some take all
 * there is by design), else by the kind, else by habit.
 */
final readonly class RemovalCaps
{
    /**
     * @param  array<string, array{int, string}>  $byHabit  per cent and source
     */
    private function __construct(
        private array $byHabit,
        private Recipes $recipes,
    ) {
    }

    public static function fromEntry(Entry $caps, Sources $sources, Recipes $recipes): self
    {
        return new self(self::read($caps->entry('by_habit'), $sources), $recipes);
    }

    /**
     * @param  ?string  $recipe  its key, or null for any cut at all
     * @return array{int, string} per cent and source
     *
     * @throws Fault when the book says nothing of the kind's habit
     */
    public function for(Kind $kind, ?string $recipe): array
    {
        // What only looks after a cut is no recipe of the book.
        return ($recipe === null || ! $this->recipes->has($recipe) ? null : $this->recipes->get($recipe)->cap)
            ?? $kind->removalCap
            ?? $this->byHabit[$kind->habit->value]
            ?? throw new Fault(sprintf('removal_caps.by_habit: nothing is said of a %s', $kind->habit->value));
    }

    /** @return array<string, array{int, string}> */
    private static function read(Entry $caps, Sources $sources): array
    {
        $read = [];
        foreach ($caps->keys() as $key) {
            $cap = $caps->entry($key);
            $read[$key] = self::one($cap, $sources);
        }

        return $read;
    }

    /** @return array{int, string} */
    public static function one(Entry $cap, Sources $sources): array
    {
        return [
            (int) $cap->number('percent'),
            $cap->has('source') ? $cap->parsed('source', $sources->quote(...)) : $sources->quote(Sources::COMMON),
        ];
    }
}
