<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** Places where they lie to each other, north up, each a dot as large as what was counted there; in a square of 100. */
final readonly class DotMap
{
    public const SIZE = 100.0;

    private const MARGIN = 10.0;

    private const LARGEST = 6.0;

    /** Degrees across, where all lie close together. */
    private const LEAST = 0.01;

    /** Where a name stands, and how much room it takes. */
    private const BELOW = 9.0;

    private const ABOVE = -7.0;

    private const WIDE = 24.0;

    private const HIGH = 5.0;

    /** More names than that cover one another. */
    private const NAMES = 16;

    /**
     * @param  list<array{at: Spot, radius: float, label: string, name: ?string, below: float}>  $dots  the name once
     *     for each place, and how far below it stands
     */
    private function __construct(public array $dots)
    {
    }

    /**
     * @param  list<array{float, float, int, string, string}>  $places  latitude, longitude, how many, what is told of
     *     it, and what the place is called
     */
    public static function of(array $places): self
    {
        if ($places === []) {
            return new self([]);
        }
        $flat = FlatMap::of(
            array_map(static fn (array $place): array => [$place[0], $place[1]], $places), self::SIZE, self::MARGIN,
            self::LEAST,
        );
        $most = max(1, ...array_column($places, 2));
        $dots = $named = [];
        foreach ($places as [$latitude, $longitude, $many, $label, $name]) {
            $dots[] = [
                'at' => $flat->spot($latitude, $longitude),
                // The area tells how many.
                'radius' => round(max(1.2, self::LARGEST * sqrt($many / $most)), 1),
                'label' => $label, 'name' => isset($named[$name]) || count($named) >= self::NAMES ? null : $name,
                'below' => self::below($flat->spot($latitude, $longitude), $named),
            ];
            $named[$name] ??= $flat->spot($latitude, $longitude);
        }

        return new self($dots);
    }

    /**
     * Below its place, or above it where a neighbour's name stands there.
     *
     * @param  array<string, Spot>  $named
     */
    private static function below(Spot $at, array $named): float
    {
        foreach ($named as $other) {
            if (abs($other->x - $at->x) < self::WIDE && abs($other->y - $at->y) < self::HIGH) {
                return self::ABOVE;
            }
        }

        return self::BELOW;
    }
}
