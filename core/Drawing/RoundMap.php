<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Planning\Season\Place;
use PruningHook\Core\Planning\Season\Round;

/**
 * A week's rounds seen from above: depot and gardens where they lie to each other, and each round as a loop from the
 * depot through its gardens. North is up; as large as it fits into a square of 100.
 */
final readonly class RoundMap
{
    public const SIZE = 100.0;

    private const MARGIN = 9.0;

    /** About as long as a name is, and as high as its line. */
    private const NAME = 25.0;

    private const LINE = 4.0;

    /**
     * @param  array<string, Spot>  $gardens  by ref
     * @param  list<array{crew: string, on: string, spots: list<Spot>}>  $loops
     * @param  float  $kmAcross  what the whole width stands for, in km
     */
    private function __construct(public Spot $depot, public array $gardens, public array $loops, public float $kmAcross)
    {
    }

    /**
     * @param  array<string, Place>  $places  by garden
     * @param  list<Round>  $rounds
     */
    public static function of(Place $depot, array $places, array $rounds): self
    {
        $all = [$depot, ...array_values($places)];
        $flat = FlatMap::of(
            array_map(static fn (Place $place): array => [$place->latitude, $place->longitude], $all), self::SIZE,
            self::MARGIN,
        );
        $spot = static fn (Place $place): Spot => $flat->spot($place->latitude, $place->longitude);
        $gardens = array_map($spot, $places);
        $loops = array_map(static fn (Round $round): array => [
            'crew' => $round->crew, 'on' => (string) $round->on,
            'spots' => array_values(array_filter(array_map(
                static fn ($visit): ?Spot => $gardens[$visit->garden] ?? null, $round->visits,
            ))),
        ], $rounds);

        return new self(
            $spot($depot), $gardens, $loops, $flat->kmAcross(),
        );
    }

    /** Whether a garden's name stands left of it: near the right edge, or where another lies close by on the right. */
    public function isLeft(string|int $garden): bool
    {
        $spot = $this->gardens[(string) $garden] ?? $this->depot;
        foreach ($this->gardens as $other) {
            if ($other->x > $spot->x && $other->x < $spot->x + self::NAME && abs($other->y - $spot->y) < self::LINE) {
                return true;
            }
        }

        return $spot->x > self::SIZE - self::NAME;
    }
}
