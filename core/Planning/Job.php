<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning;

use PruningHook\Core\Prescription\Task;

/** One task of one plant, as it is lined up on a visit. */
final readonly class Job
{
    private function __construct(
        public string $plant,
        public string $bed,
        public Task $task,
        public bool $diseased,
    ) {
    }

    /** @param  bool  $diseased true where disease was found on the plant at the last visit */
    public static function of(string $plant, string $bed, Task $task, bool $diseased): self
    {
        return new self($plant, $bed, $task, $diseased);
    }
}
