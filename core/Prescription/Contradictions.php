<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Plant\State;
use PruningHook\Core\Plant\Upkeep;
use PruningHook\Core\PlantBook\Disease;
use PruningHook\Core\PlantBook\FloweringWood;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;

/** Facts of one plant that cannot all be true. They are told, never guessed away. */
final readonly class Contradictions
{
    /** @return array<string, string> what is wrong, by the fact that most likely is, as `prescribe` names it */
    public static function of(Kind $kind, PlantBook $book, GivenFacts $given): array
    {
        $told = self::seen($kind, $book, $given->state, $given->planted);
        if ($given->aim !== null && isset($kind->notFor[$given->aim])) {
            $told['aim'] = $kind->notFor[$given->aim];
        }
        if ($given->floweringHeightMm !== null && $kind->wood === FloweringWood::None) {
            $told['flowering_height_mm'] = sprintf(
                '%s %s: it has no flowering height', $kind->name, $kind->wood->inWords(),
            );
        }
        if ($given->grafted === true && $kind->habit->isSoft()) {
            $told['grafted'] = sprintf('%s grows on its own roots: nothing of its sort is grafted', $kind->name);
        }

        return $told;
    }

    /** @return array<string, string> */
    private static function seen(Kind $kind, PlantBook $book, State $state, ?Day $planted): array
    {
        $told = ['disease' => self::disease($kind, $book, $state->disease)];
        if ($state->transplanted !== null && $planted !== null && $state->transplanted->isBefore($planted)) {
            $told['transplanted'] = sprintf(
                'it cannot have been moved on %s, before it was planted on %s', $state->transplanted, $planted,
            );
        }
        if ($kind->habit->isSoft()) {
            $told += self::soft($kind, $state);
        }
        if (! self::isHeld($kind, $book)) {
            $told += array_fill_keys(
                array_keys(array_filter([
                    'target_height_mm' => $state->targetHeightMm !== null, 'width_mm' => $state->widthMm !== null,
                    'sides' => $state->sides !== null,
                ])),
                sprintf('%s is held to no line: that is said of hedges and topiary', $kind->name),
            );
        }

        return array_filter([...$told, ...self::notAsked($kind, $state)], is_string(...));
    }

    /** @return array<string, string> what is only asked of other fruit, by fact */
    private static function notAsked(Kind $kind, State $state): array
    {
        $told = [];
        foreach ([
            'bearing' => [$state->bearing, 'does not bear on spurs or tips: that is asked of apples and pears'],
            'rootstock' => [$state->rootstock, 'is on no stock that matters here: that is asked of apples and pears'],
            'growth' => [$state->growth, 'is not told by erect or trailing canes: that is asked of blackberries'],
        ] as $fact => [$given, $says]) {
            if ($given !== null && ! self::asks($kind, $fact)) {
                $told[$fact] = "$kind->name $says";
            }
        }

        return $told;
    }

    private static function disease(Kind $kind, PlantBook $book, ?string $key): ?string
    {
        if ($key === null) {
            return null;
        }
        $disease = $book->states->disease($key);
        if ($disease === null) {
            $known = array_map(static fn (Disease $known): string => $known->name, $book->states->diseases);

            return sprintf('no disease is known as "%s"; known are %s', $key, implode(', ', $known));
        }

        return $disease->takes($kind)
            ? null
            : sprintf('%s does not take %s: look again what it is', $disease->name, $kind->name);
    }

    /**
     * What cannot be of a plant without wood.
     *
     * @return array<string, ?string>
     */
    private static function soft(Kind $kind, State $state): array
    {
        return [
            'condition' => $state->upkeep === Upkeep::Lopped
                ? sprintf('%s has no limbs to be lopped', $kind->name)
                : null,
            'trunk_mm' => $state->trunkMm !== null ? sprintf('%s has no trunk', $kind->name) : null,
            'protected' => $state->protected
                ? sprintf('%s is no tree and no hedge: nothing of its sort is protected', $kind->name)
                : null,
        ];
    }

    /** True where some task of a kind keeps it to a height and width. */
    public static function isHeld(Kind $kind, PlantBook $book): bool
    {
        foreach ($kind->tasks as $task) {
            foreach ($task->methods as $method) {
                if ($book->recipes->get($method->value)->holdsLine) {
                    return true;
                }
            }
        }

        return false;
    }

    /** True where any piece of what is known of a kind hangs on this fact. */
    public static function asks(Kind $kind, string $fact): bool
    {
        foreach ($kind->tasks as $task) {
            foreach ($task->conditions() as $condition) {
                if (isset($condition->looksAt()[$fact])) {
                    return true;
                }
            }
        }

        return false;
    }
}
