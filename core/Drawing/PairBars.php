<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/**
 * Rows of two bars, one over the other: what was thought, and what it came to. As long as the largest is 100.
 */
final readonly class PairBars
{
    public const ROW = 14.0;

    /** @param  list<array{name: string, thought: float, came: float, y: float, isOver: bool}>  $rows */
    private function __construct(public array $rows, public float $height)
    {
    }

    /** @param  list<array{string, int, int}>  $pairs  name, what was thought, what it came to */
    public static function of(array $pairs): self
    {
        $most = max(1, ...array_merge(...array_map(
            static fn (array $pair): array => [$pair[1], $pair[2]], $pairs === [] ? [['', 0, 0]] : $pairs,
        )));
        $rows = [];
        foreach ($pairs as $index => [$name, $thought, $came]) {
            $rows[] = [
                'name' => $name, 'thought' => round(100 * $thought / $most, 1), 'came' => round(100 * $came / $most, 1),
                'y' => $index * self::ROW, 'isOver' => $came > $thought,
            ];
        }

        return new self($rows, max(1, count($pairs)) * self::ROW);
    }
}
