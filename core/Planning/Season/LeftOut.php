<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/** A task that found no day: why, and what would cure it most cheaply. */
final readonly class LeftOut
{
    public function __construct(public string $task, public string $because, public string $cure)
    {
    }

    /** @return array{task: string, because: string, cure: string} */
    public function toArray(): array
    {
        return ['task' => $this->task, 'because' => $this->because, 'cure' => $this->cure];
    }
}
