<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Prescription\LoggedWork;
use PruningHook\Core\Prescription\Outcome;
use PruningHook\Core\Prescription\Task;

/** One task of one plant, as it stands on a day. */
final readonly class DueTask
{
    /** A window closing within this many days is pressing. */
    public const CLOSING_DAYS = 14;

    /** Windows opening within this many days are coming. */
    public const COMING_DAYS = 42;

    /** A window that passed unlogged is shown as missed for this long. */
    public const MISSED_DAYS = 30;

    private function __construct(
        public Task $task,
        public Day $today,
        public Urgency $urgency,
        public ?LoggedWork $logged,
    ) {
    }

    public static function of(Task $task, ?LoggedWork $logged, Day $today): self
    {
        return new self($task, $today, self::urgency($task, $logged, $today), $logged);
    }

    /** Days until the window closes: negative once it has. */
    public function daysLeft(): int
    {
        return $this->today->daysUntil($this->task->window->closes);
    }

    /** Days until the window opens: negative once it has. */
    public function daysToOpening(): int
    {
        return $this->today->daysUntil($this->task->window->opens);
    }

    private static function urgency(Task $task, ?LoggedWork $logged, Day $today): Urgency
    {
        $left = $today->daysUntil($task->window->closes);
        $toOpening = $today->daysUntil($task->window->opens);

        return match (true) {
            $logged?->outcome === Outcome::Done => Urgency::Done,
            $left < -self::MISSED_DAYS, $toOpening > self::COMING_DAYS => Urgency::Later,
            $left < 0 => Urgency::Missed,
            $toOpening > 0 => Urgency::Coming,
            $left <= self::CLOSING_DAYS => Urgency::Closing,
            default => Urgency::Open,
        };
    }
}
