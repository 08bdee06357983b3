<?php

declare(strict_types=1);

namespace App\Io\Csv;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Fault;

/** The cells of one line as the values they stand for; what is none is told with its column and the likely mend. */
final class Cells
{
    /** @var list<string> */
    public array $faults = [];

    /** @param  array<string, string>  $row */
    public function __construct(private readonly array $row)
    {
        if (isset($row[CsvFile::BEYOND])) {
            $this->faults[] = sprintf(
                'it has more cells than there are columns, from "%s" on: where a text holds a comma or a semicolon, '
                    .'put quotation marks round it', $row[CsvFile::BEYOND],
            );
        }
    }

    public function has(string $column): bool
    {
        return isset($this->row[$column]);
    }

    public function text(string $column, int $most, bool $needed = false): ?string
    {
        $text = $this->row[$column] ?? '';
        if ($text === '' && $needed) {
            $this->fault($column, 'is empty');
        }
        if (mb_strlen($text) > $most) {
            $this->fault($column, "is longer than $most letters");
        }

        return $text === '' ? null : $text;
    }

    public function whole(string $column, int $min, int $max): ?int
    {
        $number = $this->number($column, $min, $max);
        if ($number !== null && floor($number) !== $number) {
            $this->fault($column, sprintf('"%s" is no whole number', $this->row[$column]));
        }

        return $number === null ? null : (int) $number;
    }

    /** With a decimal comma or point. */
    public function number(string $column, float $min, float $max): ?float
    {
        $text = str_replace(["\u{A0}", ' '], '', $this->row[$column] ?? '');
        if ($text === '') {
            return null;
        }
        if (preg_match('/^[-+]?\d{1,9}(?:[.,]\d{1,9})?$/', $text) !== 1) {
            $this->fault($column, sprintf('"%s" is no number: write figures only, without a unit', $text));

            return null;
        }
        $number = (float) str_replace(',', '.', $text);
        if ($number < $min || $number > $max) {
            $this->fault($column, sprintf('%s lies outside %s to %s', $text, $min, $max));
        }

        return $number;
    }

    /** As 2018-03-24, or as 24.03.2018 and 24/03/2018, the day first. */
    public function day(string $column, Day $latest): ?Day
    {
        $text = $this->row[$column] ?? '';
        if ($text === '') {
            return null;
        }
        $iso = preg_match('~^(\d{1,2})[./](\d{1,2})[./](\d{4})$~', $text, $of) === 1
            ? sprintf('%s-%02d-%02d', $of[3], $of[2], $of[1])
            : $text;
        try {
            $day = Day::parse($iso);
        } catch (Fault) {
            $this->fault($column, sprintf('"%s" is no day: write 2018-03-24', $text));

            return null;
        }
        if ($day->isAfter($latest) || $day->year() < 1700) {
            $this->fault($column, sprintf('%s lies in the future, or before anybody kept a record', $text));
        }

        return $day;
    }

    /** @param  list<string>  $of */
    public function one(string $column, array $of): ?string
    {
        $text = strtolower($this->row[$column] ?? '');
        if ($text !== '' && ! in_array($text, $of, true)) {
            $this->fault($column, sprintf('"%s" is none of %s', $text, implode(', ', $of)));

            return null;
        }

        return $text === '' ? null : $text;
    }

    public function yes(string $column): ?bool
    {
        return match ($this->one($column, ['yes', 'no'])) {
            'yes' => true,
            'no' => false,
            default => null,
        };
    }

    public function fault(string $column, string $because): void
    {
        $this->faults[] = "$column: $because";
    }
}
