<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

/** How a task on a visit ended. */
enum Outcome: string
{
    case Done = 'done';
    case Partly = 'partly';
    case NotDone = 'not-done';

    /** True where at least some of it was done. */
    public function isSomething(): bool
    {
        return $this !== self::NotDone;
    }

    public function inWords(): string
    {
        return match ($this) {
            self::Done => 'done',
            self::Partly => 'partly done',
            self::NotDone => 'not done',
        };
    }
}
