<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Prescription\SeasonTask;

/** One task of one plant, as it stands on a day. */
final readonly class DueTask
{
    /** A window closing within this many days is pressing. */
    public const CLOSING_DAYS = 14;

    /** Windows opening within this many days are coming. */
    public const COMING_DAYS = 42;

    /** A window that passed unlogged is shown as missed for this long. */
    public const MISSED_DAYS = 30;

    public Urgency $urgency;

    /**
     * @param  ?Outcome  $outcome  what the record says of it, if anything
     * @param  ?Day  $loggedOn  when it was logged, where that is known
     */
    public function __construct(
        public SeasonTask $task,
        public Day $today,
        public ?Outcome $outcome = null,
        public ?Day $loggedOn = null,
    ) {
        $this->urgency = self::urgency($task, $outcome, $today);
    }

    public static function of(SeasonTask $task, ?LoggedWork $logged, Day $today): self
    {
        return new self($task, $today, $logged?->outcome, $logged?->on);
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

    /** Whether bad weather would hold it today: it is open, and something is cut. */
    public function waitsForWeather(): bool
    {
        return in_array($this->urgency, [Urgency::Open, Urgency::Closing], true)
            && $this->task->methodKey !== LoggedWork::FOLLOW_UP;
    }

    private static function urgency(SeasonTask $task, ?Outcome $outcome, Day $today): Urgency
    {
        return $outcome?->isDone() === true
            ? Urgency::Done
            : self::pressing($today->daysUntil($task->window->closes), $today->daysUntil($task->window->opens));
    }

    /**
     * How a task that is not done presses.
     *
     * @param  int  $left  days until its window closes, negative once it has
     * @param  int  $toOpening  days until it opens, negative once it has
     */
    public static function pressing(int $left, int $toOpening): Urgency
    {
        return match (true) {
            $left < -self::MISSED_DAYS, $toOpening > self::COMING_DAYS => Urgency::Later,
            $left < 0 => Urgency::Missed,
            $toOpening > 0 => Urgency::Coming,
            $left <= self::CLOSING_DAYS => Urgency::Closing,
            default => Urgency::Open,
        };
    }
}
