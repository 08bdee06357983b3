<?php

declare(strict_types=1);

namespace App\Ground\Bridge;

use PruningHook\Core\Calendar\Normals;
use PruningHook\Core\Fault;

/**
 * Twelve monthly means as people write them: in a row (`4.7 4.9 7.2 ...`, with spaces, semicolons or commas between),
 * or a line for each month with its name or number first, as a CSV file has them; a heading is passed over.
 */
final readonly class NormalsText
{
    private const MONTHS = [
        'jan' => 1, 'feb' => 2, 'mar' => 3, 'apr' => 4, 'may' => 5, 'jun' => 6, 'jul' => 7, 'aug' => 8, 'sep' => 9,
        'oct' => 10, 'nov' => 11, 'dec' => 12,
    ];

    private const NUMBER = '-?\d{1,3}(?:[.,]\d+)?';

    /** @throws Fault when they are not twelve, or no place on earth is like that */
    public static function read(string $text): Normals
    {
        // As another program wrote it: with a mark before it, or with the true minus sign.
        $text = trim(str_replace(["\u{FEFF}", "\u{2212}", '"'], ['', '-', ''], $text));
        $byMonth = self::byMonth($text);

        return Normals::of($byMonth === [] ? self::inARow($text) : $byMonth);
    }

    /**
     * @return list<float>
     *
     * @throws Fault naming the line
     */
    private static function byMonth(string $text): array
    {
        $means = [];
        $monthAndMean = '/^\s*([a-z]{3}|\d{1,2})[a-z]*\.?\s*[,;:\t ]\s*('.self::NUMBER.')\s*$/i';
        foreach (preg_split('/\R/', $text) ?: [] as $line) {
            if (preg_match($monthAndMean, $line, $part) !== 1) {
                continue;
            }
            $month = self::MONTHS[strtolower($part[1])] ?? (int) $part[1];
            if ($month !== count($means) + 1) {
                throw new Fault(sprintf('month %d is expected in the line "%s"', count($means) + 1, trim($line)));
            }
            $means[] = self::number($part[2]);
        }

        return $means;
    }

    /** @return list<float> */
    private static function inARow(string $text): array
    {
        // A comma parts two numbers, unless points or semicolons show that it stands in them.
        $commaInside = str_contains($text, ';')
            || (! str_contains($text, '.') && preg_match('/\d,\d+\s+-?\d/', $text) === 1);
        $parts = preg_split($commaInside ? '/[;\s]+/' : '/[,;\s]+/', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $means = [];
        foreach ($parts as $part) {
            if (preg_match('/^'.self::NUMBER.'$/', $part) !== 1) {
                throw new Fault("\"$part\" is no number of degrees");
            }
            $means[] = self::number($part);
        }

        return $means;
    }

    private static function number(string $text): float
    {
        return (float) str_replace(',', '.', $text);
    }

    /** @param  list<int|float>  $means */
    public static function write(array $means): string
    {
        return implode(' ', array_map(strval(...), $means));
    }
}
