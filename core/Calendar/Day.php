<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use PruningHook\Core\Fault;
use Stringable;

/**
 * A plain calendar day, without hour or time zone, kept as the count of days since 1970-01-01.
 *
 * `Day::parse('2027-02-14')->plus(20)` is 2027-03-06.
 */
final readonly class Day implements Stringable
{
    private const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July',
        'August', 'September', 'October', 'November', 'December'];

    private function __construct(public int $number)
    {
    }

    /** @throws Fault when the calendar has no such day */
    public static function of(int $year, int $month, int $day): self
    {
        if (! checkdate($month, $day, $year)) {
            throw new Fault(sprintf('%04d-%02d-%02d is not a day of the calendar', $year, $month, $day));
        }

        return new self(intdiv((int) gmmktime(0, 0, 0, $month, $day, $year), 86_400));
    }

    /**
     * Reads `yyyy-mm-dd`.
     *
     * @throws Fault when it is written otherwise or the calendar has no such day
     */
    public static function parse(string $text): self
    {
        if (preg_match('/^(\d{4})-(\d{2})-(\d{2})$/', $text, $part) !== 1) {
            throw new Fault(sprintf('"%s" is not a date written yyyy-mm-dd', $text));
        }

        return self::of((int) $part[1], (int) $part[2], (int) $part[3]);
    }

    public static function fromNumber(int $number): self
    {
        return new self($number);
    }

    public static function earliest(self $first, self ...$others): self
    {
        foreach ($others as $other) {
            $first = $other->number < $first->number ? $other : $first;
        }

        return $first;
    }

    public static function latest(self $first, self ...$others): self
    {
        foreach ($others as $other) {
            $first = $other->number > $first->number ? $other : $first;
        }

        return $first;
    }

    public function plus(int $days): self
    {
        return new self($this->number + $days);
    }

    public function minus(int $days): self
    {
        return new self($this->number - $days);
    }

    /** Days from this day to the other: negative where the other is earlier. */
    public function daysUntil(self $other): int
    {
        return $other->number - $this->number;
    }

    public function isBefore(self $other): bool
    {
        return $this->number < $other->number;
    }

    public function isAfter(self $other): bool
    {
        return $this->number > $other->number;
    }

    public function equals(self $other): bool
    {
        return $this->number === $other->number;
    }

    public function year(): int
    {
        return (int) gmdate('Y', $this->number * 86_400);
    }

    public function month(): int
    {
        return (int) gmdate('n', $this->number * 86_400);
    }

    public function dayOfMonth(): int
    {
        return (int) gmdate('j', $this->number * 86_400);
    }

    /** 1 on the first of January. */
    public function dayOfYear(): int
    {
        return (int) gmdate('z', $this->number * 86_400) + 1;
    }

    /** 1 is Monday, 7 is Sunday. */
    public function weekday(): int
    {
        // 1970-01-01 was a Thursday.
        return ($this->number % 7 + 10) % 7 + 1;
    }

    /** The Monday of its week, itself where it is one. */
    public function monday(): self
    {
        return $this->minus($this->weekday() - 1);
    }

    /** "14 February", as the reasons say it. */
    public function inWords(): string
    {
        return $this->dayOfMonth().' '.self::MONTHS[$this->month() - 1];
    }

    public function __toString(): string
    {
        return gmdate('Y-m-d', $this->number * 86_400);
    }
}
