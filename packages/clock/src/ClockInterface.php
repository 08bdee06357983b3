<?php

declare(strict_types=1);

namespace Symfony\Component\Clock;

use DateTimeZone;
use Psr\Clock\ClockInterface as PsrClockInterface;

/** A clock that can also wait and be carried to another time zone. */
interface ClockInterface extends PsrClockInterface
{
    /** Waits the given number of seconds; fractions are allowed. */
    public function sleep(float|int $seconds): void;

    /** The same clock in another time zone. */
    public function withTimeZone(DateTimeZone|string $timezone): static;
}
