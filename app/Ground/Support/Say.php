<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Units\Length;
use PruningHook\Core\Units\Prose;
use PruningHook\Core\Units\System;

/** How the interface says dates, lengths and times. */
final readonly class Say
{
    private const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

    /** From Monday on. */
    public const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

    /** "14 Feb", and "14 Feb 2025" where the year is not this one. */
    public static function date(Day|string $day): string
    {
        $day = is_string($day) ? Day::parse($day) : $day;
        $short = $day->dayOfMonth().' '.self::MONTHS[$day->month() - 1];

        return $day->year() === Today::day()->year() ? $short : $short.' '.$day->year();
    }

    /** "Feb", and "Jan 2028" where the year begins. */
    public static function month(Day $day): string
    {
        $name = self::MONTHS[$day->month() - 1];

        return $day->month() === 1 ? $name.' '.$day->year() : $name;
    }

    /** "March 2027" */
    public static function monthOf(Day $day): string
    {
        return Carbon::create($day->year(), $day->month())?->format('F Y') ?? '';
    }

    /** "Tue 14 Feb" */
    public static function weekday(Day $day): string
    {
        return self::WEEKDAYS[$day->weekday() - 1].' '.self::date($day);
    }

    /** "Tue 14 Feb 2027" */
    public static function longDate(Day $day): string
    {
        return self::WEEKDAYS[$day->weekday() - 1].
            ' '.
            $day->dayOfMonth().
            ' '.
            self::MONTHS[$day->month() - 1].
            ' '.
            $day->year();
    }

    public static function days(int $days): string
    {
        return match ($days) {
            0 => 'today',
            1 => 'tomorrow',
            -1 => 'yesterday',
            default => $days > 0 ? "in $days days" : -$days.' days ago',
        };
    }

    public static function minutes(int $minutes): string
    {
        return $minutes < 90
            ? $minutes.' min'
            : intdiv($minutes, 60).' h'.($minutes % 60 === 0 ? '' : ' '.$minutes % 60 .' min');
    }

    /** A time of day in the firm's own time zone, "07:05", of minutes after midnight UTC. */
    public static function clock(int $minutes, Day $day): string
    {
        return self::time(Carbon::parse((string) $day, 'UTC')->addMinutes($minutes));
    }

    /** A time of day by the firm's clock, "07:05". */
    public static function time(Carbon $moment): string
    {
        return Today::local($moment)->format('H:i');
    }

    public static function length(?int $mm): ?string
    {
        return $mm === null ? null : Length::ofMm($mm)->in(self::units());
    }

    /** A sentence with the lengths in it told as whoever is signed in wants them. */
    public static function prose(string $text): string
    {
        return Prose::in(self::units(), $text);
    }

    /**
     * Things one after the other; by semicolons where one of them holds a comma of its own.
     *
     * @param  list<string>  $things
     */
    public static function list(array $things): string
    {
        return self::prose(implode(str_contains(implode($things), ',') ? '; ' : ', ', $things));
    }

    /** As whoever is signed in wants lengths told. */
    public static function units(): System
    {
        return System::tryFrom((string) (Auth::user()->units ?? '')) ?? System::Metric;
    }

    public static function amount(Amount $amount): string
    {
        return $amount->inWords(self::units());
    }

    public static function target(Amount $amount): string
    {
        return $amount->targetInWords(self::units());
    }

    /**
     * An amount as a line of a sheet: the number large, the rest beside it, the unit said once.
     *
     * @return array{number: string, rest: string} "3 to 5", "old stems to take out; 3 is best"
     */
    public static function amountLine(Amount $amount): array
    {
        $unit = preg_quote($amount->unit, '/');
        $isSaid = $amount->unit !== '' && preg_match("/\\b$unit\\b/", $amount->what) === 1;
        $number = static fn (string $said): string => $isSaid
            ? (string) preg_replace('/(\d) '.$unit.'?$/', '$1', $said)
            : $said;
        $best = $amount->target === 0 ? 'none' : $number(self::target($amount));

        return [
            'number' => $number(self::amount($amount)),
            'rest' => $amount->what.($amount->min === $amount->max ? '' : "; $best is best"),
        ];
    }

    public static function value(int $value, string $unit): string
    {
        return self::target(Amount::exactly('', $unit, $value));
    }
}
