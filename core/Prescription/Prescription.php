<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Calendar\Closure;
use PruningHook\Core\PlantBook\Kind;

/** Everything one plant needs in one season, and the days on which it is left alone. */
final readonly class Prescription
{
    /**
     * @param  list<Task>  $tasks  by the opening of their windows
     * @param  list<Closure>  $closed
     * @param  list<Task>  $followUps  what the record asks for in this season, beside what the kind does
     */
    public function __construct(
        public string $ref,
        public Kind $kind,
        public int $season,
        public array $tasks,
        public array $closed,
        public array $followUps = [],
    ) {
    }

    public function task(string $key): ?Task
    {
        foreach ([...$this->tasks, ...$this->followUps] as $task) {
            if ($task->key === $key) {
                return $task;
            }
        }

        return null;
    }

    /** @return array<string, mixed> the shape of docs/formats/prescription.schema.json */
    public function toArray(): array
    {
        return [
            'ref' => $this->ref,
            'kind' => ['id' => $this->kind->id, 'name' => $this->kind->name],
            'tasks' => array_map(static fn (Task $task): array => $task->toArray(), $this->tasks),
            'closed' => array_map(static fn (Closure $closure): array => $closure->toArray(), $this->closed),
        ];
    }
}
