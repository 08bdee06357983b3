<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;

/** The builds of plants, and which of them a kind has. */
final readonly class GrowthHabits
{
    /**
     * @param  array<string, GrowthHabit>  $habits  by key
     * @param  array<string, string>  $bySort  of `Habit`
     * @param  array<string, string>  $byKind
     * @param  array<string, string>  $byForm
     */
    private function __construct(
        public array $habits,
        private array $bySort,
        private array $byKind,
        private array $byForm,
    ) {
    }

    /** @throws Fault for a figure that is missing, or a build nobody describes */
    public static function read(Entry $file): self
    {
        $habits = [];
        foreach ($file->entry('habits')->keys() as $key) {
            $habits[$key] = self::habit($key, $file->entry('habits')->entry($key), $file->entry('all'));
        }
        $named = static fn (string $field): array => array_map(
            static fn (string $habit): string => isset($habits[$habit])
                ? $habit
                : throw new Fault("$field: there is no habit \"$habit\""),
            $file->entry($field)->texts(),
        );

        return new self($habits, $named('by_sort'), $named('by_kind'), $named('by_form'));
    }

    public function of(Kind $kind, ?string $form = null): GrowthHabit
    {
        return $this->habits[
            $this->byForm[$form ?? ''] ?? $this->byKind[$kind->id] ?? $this->bySort[$kind->habit->value]
        ];
    }

    private static function habit(string $key, Entry $entry, Entry $all): GrowthHabit
    {
        $pair = static fn (string $field): array => array_map(intval(...), $entry->numbers($field));
        [$basal, $lean] = [$pair('basal'), $pair('lean')];

        return new GrowthHabit(
            key: $key,
            stems: $entry->whole('stems'),
            basal: [$basal[0], $basal[1]],
            lean: [$lean[0], $lean[1]],
            bend: $entry->number('bend'),
            fork: $entry->whole('fork'),
            internodeMm: $entry->whole('internode_mm'),
            apical: $all->number('apical'),
            levelEveryMm: $all->whole('level_every_mm'),
            decay: $all->number('decay'),
            reach: $entry->number('reach'),
            shoots: $entry->whole('shoots'),
            rivalry: $entry->number('rivalry', 1),
            turn: $entry->whole('turn'),
            shade: $entry->whole('shade'),
            dieback: $entry->int('dieback') ?? 0,
            twoYear: $entry->bool('two_year', false),
            laterals: $entry->bool('laterals', false),
            spurs: $entry->bool('spurs', false),
            wireMm: $entry->int('wire_mm'),
            trunkMm: $entry->int('trunk_mm') ?? 0,
            tiers: max(1, $entry->int('tiers') ?? 1),
            dense: $entry->bool('dense', false),
            figures: GrowthFigures::read($all),
        );
    }
}
