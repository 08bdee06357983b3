<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning;

use PruningHook\Core\Prescription\Task;

/** One task of one plant, as it is lined up on a visit. */
final readonly class Job
{
    /** @param  bool  $diseased true where disease was found on the plant at the last visit */
    public function __construct(
        public string $plant,
        public string $bed,
        public Task $task,
        public bool $diseased,
    ) {
    }
}
