<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;

/**
 * Lays a kind over its group, so that nothing is written twice: named values are laid over the group's, lists replace
 * the group's, and tasks are matched by their key.
 */
final readonly class Inheritance
{
    /** @param  array<array-key, mixed>  $groups by name */
    public function __construct(private array $groups)
    {
    }

    /**
     * @param  array<array-key, mixed>  $kind
     * @return array<array-key, mixed>
     *
     * @throws Fault when the group is not there
     */
    public function complete(array $kind): array
    {
        $name = $kind['group'] ?? null;
        if (! is_string($name)) {
            return $kind;
        }
        $group = $this->groups[$name] ?? null;
        if (! is_array($group)) {
            throw new Fault(sprintf('group: there is no group "%s" in groups.yaml', $name));
        }
        $complete = self::laidOver($group, $kind);
        $complete['tasks'] = self::tasks((array) ($group['tasks'] ?? []), (array) ($kind['tasks'] ?? []));

        return $complete;
    }

    /**
     * A complete kind with a correction laid over it; null in the correction takes a value away.
     *
     * @param  array<array-key, mixed>  $kind
     * @param  array<array-key, mixed>  $correction
     * @return array<array-key, mixed>
     */
    public static function correct(array $kind, array $correction): array
    {
        $complete = self::laidOver($kind, $correction);
        $complete['tasks'] = self::tasks((array) ($kind['tasks'] ?? []), (array) ($correction['tasks'] ?? []));

        return $complete;
    }

    /**
     * @param  array<array-key, mixed>  $under
     * @param  array<array-key, mixed>  $over
     * @return array<array-key, mixed>
     */
    private static function laidOver(array $under, array $over): array
    {
        foreach ($over as $key => $value) {
            if ($value === null) {
                unset($under[$key]);

                continue;
            }
            $below = $under[$key] ?? null;
            $under[$key] = is_array($below) && is_array($value) && ! array_is_list($below) && ! array_is_list($value)
                ? self::laidOver($below, $value)
                : $value;
            // Named values that were all taken away are no longer there.
            if ($under[$key] === [] && $below !== [] && $value !== []) {
                unset($under[$key]);
            }
        }

        return $under;
    }

    /**
     * @param  array<array-key, mixed>  $group
     * @param  array<array-key, mixed>  $own
     * @return list<mixed>
     */
    private static function tasks(array $group, array $own): array
    {
        $tasks = [];
        foreach ([...$group, ...$own] as $index => $task) {
            $key = is_array($task) && is_string($task['key'] ?? null) ? $task['key'] : "unnamed $index";
            $tasks[$key] =
                is_array($task) && is_array($tasks[$key] ?? null) ? self::laidOver($tasks[$key], $task) : $task;
        }

        return array_values($tasks);
    }
}
