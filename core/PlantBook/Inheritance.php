<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;

/**
 * Lays a kind over its group, or over the kind it is only a form of, so that nothing is written twice: named values are
 * laid over what is below, lists replace it, and tasks are matched by their key.
 */
final readonly class Inheritance
{
    /** What is a kind's own and no other's. */
    private const OWN = ['also' => 0, 'bloom_degree_days_f' => 0, 'about' => 0];

    /** A form of a form of a form is another kind. */
    private const DEEPEST = 3;

    /**
     * @param  array<array-key, mixed>  $groups by name
     * @param  array<array-key, mixed>  $kinds  by id, as they are written
     */
    public function __construct(private array $groups, private array $kinds = [])
    {
    }

    /**
     * @param  array<array-key, mixed>  $kind
     * @return array<array-key, mixed>
     *
     * @throws Fault when the group is not there
     */
    public function complete(array $kind, int $deep = 0): array
    {
        $name = $kind['group'] ?? null;
        if (! is_string($name)) {
            return $kind;
        }
        $group = $this->groups[$name] ?? null;
        $like = $this->kinds[$name] ?? null;
        if ($group === null && is_array($like) && $deep < self::DEEPEST) {
            $group = array_diff_key($this->complete($like, $deep + 1), self::OWN);
        }
        if (! is_array($group)) {
            throw new Fault(sprintf('group: there is no group "%s" in groups.yaml, and no such kind', $name));
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
