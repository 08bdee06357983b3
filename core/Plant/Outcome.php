<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

/** How a task on a visit ended. */
enum Outcome: string
{
    case Done = 'done';
    /** Done, though otherwise than prescribed. */
    case Changed = 'changed';
    case Partly = 'partly';
    case NotDone = 'not-done';

    /** True where at least some of it was done. */
    public function isSomething(): bool
    {
        return $this !== self::NotDone;
    }

    /** True where nothing of it is left to do. */
    public function isDone(): bool
    {
        return $this === self::Done || $this === self::Changed;
    }

    public function inWords(): string
    {
        return match ($this) {
            self::Done => 'done',
            self::Changed => 'done otherwise',
            self::Partly => 'partly done',
            self::NotDone => 'not done',
        };
    }
}
