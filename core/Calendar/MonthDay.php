<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use PruningHook\Core\Fault;
use Stringable;

/** A day that comes back every year, written `mm-dd`: an average last frost, say. */
final readonly class MonthDay implements Stringable
{
    private function __construct(
        public int $month,
        public int $day,
    ) {
    }

    /** @throws Fault when it is not `mm-dd` or no year has such a day */
    public static function parse(string $text): self
    {
        if (preg_match('/^(\d{2})-(\d{2})$/', $text, $part) !== 1) {
            throw new Fault(sprintf('"%s" is not a day of the year written mm-dd', $text));
        }
        if (! checkdate((int) $part[1], (int) $part[2], 2000)) {
            throw new Fault(sprintf('"%s" is not a day of any year', $text));
        }

        return new self((int) $part[1], (int) $part[2]);
    }

    public static function of(Day $day): self
    {
        return new self($day->month(), $day->dayOfMonth());
    }

    /** The day in the given year; 29 February falls on the 28th where there is none. */
    public function in(int $year): Day
    {
        $day = $this->month === 2 && $this->day === 29 && ! checkdate(2, 29, $year) ? 28 : $this->day;

        return Day::of($year, $this->month, $day);
    }

    /** Whichever year's occurrence lies nearest to the given day. */
    public function nearest(Day $to): Day
    {
        $best = $this->in($to->year());
        foreach ([$to->year() - 1, $to->year() + 1] as $year) {
            $other = $this->in($year);
            if (abs($other->daysUntil($to)) < abs($best->daysUntil($to))) {
                $best = $other;
            }
        }

        return $best;
    }

    public function __toString(): string
    {
        return sprintf('%02d-%02d', $this->month, $this->day);
    }
}
