<?php

declare(strict_types=1);

namespace PruningHook\Core\Regrowth;

use PruningHook\Core\Prescription\Task;

/** What is done to a plant each year, and when in its year; nothing where there is no task. */
final readonly class YearlyCut
{
    public function __construct(public ?Task $task = null, public CutTime $time = CutTime::Winter)
    {
    }
}
