<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use PruningHook\Core\PlantBook\Names;

/** A list of plants as somebody has written it down, a line each, and what was understood of it. */
final readonly class PlantList
{
    /** More are planted in parts. */
    public const MOST = 200;

    private const LONGEST = 120;

    /**
     * @param  list<ListedPlant>  $rows
     * @param  int  $left  lines that were too many
     */
    private function __construct(public array $rows, public int $left)
    {
    }

    /**
     * Each line is a name, with a number before it where there are several, and after it, parted by commas, semicolons
     * or tabs, what the crew calls it and its bed: `3 x Rosa 'Iceberg', Roses by the steps, Steps`.
     *
     * @param  list<string>  $recent  kinds that go first among equals
     */
    public static function read(string $text, Names $names, array $recent): self
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            $text = mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
        }
        $lines = array_values(array_filter(
            array_map(trim(...), preg_split('/\R/u', str_replace("\u{FEFF}", '', $text)) ?: []),
            static fn (string $line): bool => $line !== '',
        ));
        $rows = array_map(
            static fn (string $line): ListedPlant => self::row($line, $names, $recent),
            array_slice($lines, 0, self::MOST),
        );

        return new self($rows, max(0, count($lines) - self::MOST));
    }

    /**
     * The lines of a form that was sent, as somebody would have written them.
     *
     * @param  list<array<array-key, mixed>>  $rows
     */
    public static function asSent(array $rows): string
    {
        $lines = [];
        foreach ($rows as $row) {
            $cell = static fn (string $key): string => is_string($row[$key] ?? null)
                ? str_replace([',', ';', "\t", "\n"], ' ', $row[$key])
                : '';
            $lines[] = sprintf('%d x %s, %s, %s', (int) $cell('count'), $cell('said'), $cell('label'), $cell('bed'));
        }

        return implode("\n", $lines);
    }

    /** @param  list<string>  $recent */
    private static function row(string $line, Names $names, array $recent): ListedPlant
    {
        $cells = array_map(
            static fn (string $cell): string => mb_substr(trim($cell, " \t\""), 0, self::LONGEST),
            preg_split('/[,;\t]/', $line) ?: [],
        );
        $count = 1;
        $name = $cells[0] ?? '';
        if (preg_match('/^(\d{1,4})\s*(?:x|×|\*)?\s+(.+)$/iu', $name, $part) === 1) {
            [$count, $name] = [max(1, (int) $part[1]), $part[2]];
        }
        $matches = $names->find($name, $recent);
        $label = $cells[1] ?? '';

        return new ListedPlant(
            $name, $count, $label === '' ? $name : $label, $cells[2] ?? '', $matches,
            $matches !== [] && $matches[0]->sure ? $matches[0]->id : null,
        );
    }

    /** @return int lines that stand for one kind beyond doubt */
    public function sure(): int
    {
        return count(array_filter($this->rows, static fn (ListedPlant $row): bool => $row->kind !== null));
    }

    /** @return int lines of which nothing was understood */
    public function unknown(): int
    {
        return count(array_filter($this->rows, static fn (ListedPlant $row): bool => $row->matches === []));
    }
}
