<?php

declare(strict_types=1);

namespace App\Io\Csv;

use App\Io\Import\Near;
use Generator;
use PruningHook\Core\Fault;

/**
 * A table that somebody's spreadsheet wrote: with a byte order mark or without, in UTF-8, UTF-16 or Windows-1252, its
 * cells parted by commas, semicolons or tabs. Read line by line, whatever its size.
 */
final readonly class CsvFile
{
    /** More lines are taken in in parts: a firm of a thousand gardens has forty thousand plants. */
    public const MOST = 60_000;

    /** A line with its quoted breaks is no longer than that, in bytes. */
    private const LONGEST = 65_536;

    private const PARTED_BY = [',', ';', "\t"];

    /** Where cells that stand beyond the last column are told. */
    public const BEYOND = 'beyond the columns';

    /**
     * @param  resource  $file
     * @param  array<int, string>  $columns  by place
     * @param  int  $width  cells of the first line, named or not
     */
    private function __construct(
        private mixed $file,
        private string $parted,
        public array $columns,
        private int $width,
    ) {
    }

    /**
     * @param  list<string>  $known  columns that are understood
     * @param  list<string>  $needed  columns without which nothing can be made of it
     *
     * @throws Fault for what is no table, or lacks a column
     */
    public static function open(string $path, array $known, array $needed): self
    {
        $file = self::inUtf8($path);
        $first = (string) fgets($file, self::LONGEST);
        if (str_contains($first, "\0") || str_starts_with($first, "PK\x03\x04")) {
            throw new Fault('this is no table of text: save it from the spreadsheet as CSV');
        }
        $parted = self::parted($first);
        rewind($file);
        $head = fgetcsv($file, self::LONGEST, $parted, '"', '');
        $columns = [];
        foreach ($head === false ? [] : $head as $place => $name) {
            $name = strtolower((string) preg_replace('/[\s-]+/', '_', trim((string) $name)));
            if ($name === '') {
                continue;
            }
            if (! in_array($name, $known, true)) {
                $near = Near::to($name, $known);
                throw new Fault(sprintf(
                    'line 1, column %d: "%s" is an unknown column%s', $place + 1, $name,
                    $near === null ? '' : ". Did you mean \"$near\"?",
                ));
            }
            if (in_array($name, $columns, true)) {
                throw new Fault(sprintf('line 1, column %d: "%s" stands there twice', $place + 1, $name));
            }
            $columns[$place] = $name;
        }
        $lacks = array_diff($needed, $columns);
        if ($lacks !== []) {
            throw new Fault(sprintf(
                'line 1: the column "%s" is missing. The first line names the columns: %s', reset($lacks),
                implode(', ', $known),
            ));
        }

        return new self($file, $parted, $columns, count($head === false ? [] : $head));
    }

    /**
     * @return Generator<int, array<string, string>> cells by column, by the number of their line; empty lines are none
     *
     * @throws Fault for more lines than are taken in at once
     */
    public function rows(): Generator
    {
        $line = 1;
        $count = 0;
        while (($cells = fgetcsv($this->file, self::LONGEST, $this->parted, '"', '')) !== false) {
            $line++;
            $row = [];
            foreach ($this->columns as $place => $name) {
                $row[$name] = CsvText::meant((string) ($cells[$place] ?? ''));
            }
            $row += self::beyond(array_slice($cells, $this->width));
            if (array_filter($row, static fn (string $cell): bool => $cell !== '') === []) {
                continue;
            }
            if (++$count > self::MOST) {
                throw new Fault(sprintf(
                    'the file has more than %s lines: take it in in parts', number_format(self::MOST),
                ));
            }
            yield $line => $row;
            // A cell may hold breaks of its own.
            $line += substr_count(implode('', $cells), "\n");
        }
    }

    /**
     * @param  list<?string>  $cells  behind the last that the first line has
     * @return array<string, string> what stands in them; empty where nothing does
     */
    private static function beyond(array $cells): array
    {
        $said = implode(', ', array_filter(
            array_map(static fn (?string $cell): string => trim((string) $cell), $cells),
            static fn (string $cell): bool => $cell !== '',
        ));

        return $said === '' ? [] : [self::BEYOND => CsvText::meant($said)];
    }

    /**
     * @return resource
     *
     * @throws Fault
     */
    private static function inUtf8(string $path): mixed
    {
        $file = fopen($path, 'r');
        $into = fopen('php://temp/maxmemory:2097152', 'r+');
        if ($file === false || $into === false) {
            throw new Fault('the file cannot be read');
        }
        $mark = (string) fread($file, 4);
        $from = match (true) {
            str_starts_with($mark, "\xFF\xFE") => 'UTF-16LE',
            str_starts_with($mark, "\xFE\xFF") => 'UTF-16BE',
            default => self::isUtf8($path) ? 'UTF-8' : 'Windows-1252',
        };
        fseek($file, match (true) {
            $from === 'UTF-16LE', $from === 'UTF-16BE' => 2,
            str_starts_with($mark, "\xEF\xBB\xBF") => 3,
            default => 0,
        });
        self::copy($file, $into, $from);
        fclose($file);
        rewind($into);

        return $into;
    }

    /**
     * Every ending of a line becomes a line feed: a carriage return ends one, with a line feed behind it or without.
     *
     * @param  resource  $file
     * @param  resource  $into
     */
    private static function copy(mixed $file, mixed $into, string $from): void
    {
        $held = '';
        while (! feof($file)) {
            $piece = (string) fread($file, 1 << 16);
            $text = $held.($from === 'UTF-8' ? $piece : (string) mb_convert_encoding($piece, 'UTF-8', $from));
            // What follows the last one may still come.
            $held = str_ends_with($text, "\r") && ! feof($file) ? "\r" : '';
            fwrite($into, str_replace(["\r\n", "\r"], "\n", $held === '' ? $text : substr($text, 0, -1)));
        }
    }

    private static function isUtf8(string $path): bool
    {
        $file = fopen($path, 'r');
        $isUtf8 = $file !== false;
        while ($file !== false && $isUtf8 && ($line = fgets($file, self::LONGEST)) !== false) {
            $isUtf8 = mb_check_encoding($line, 'UTF-8');
        }

        return $isUtf8;
    }

    /** What parts its cells: what its first line has most of. */
    private static function parted(string $first): string
    {
        $counts = array_map(static fn (string $by): int => substr_count($first, $by), self::PARTED_BY);

        return self::PARTED_BY[(int) array_search(max($counts), $counts, true)];
    }
}
