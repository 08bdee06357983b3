<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use PruningHook\Core\Fault;

/** How warm a place is through the year: the normal mean of each calendar month, in degrees Celsius. */
final readonly class Normals
{
    /** Degrees by which it is colder for each 100 m of height: the standard atmosphere (ISO 2533), from memory. */
    private const LAPSE = 0.65;

    /** The 15th or 16th of a month is its middle; so many days lie between two. */
    private const MONTH = 365.25 / 12;

    /** Mean of the coldest month at or below which a winter is cold, and from which it is warm. Common practice. */
    private const COLD = 0.0;

    private const WARM = 10.0;

    /** @param  non-empty-list<float>  $means  January to December */
    private function __construct(public array $means)
    {
    }

    /**
     * @param  array<array-key, mixed>  $means  January to December
     *
     * @throws Fault when they are not twelve, or no place on earth is like that
     */
    public static function of(array $means): self
    {
        $read = [];
        foreach (array_values($means) as $month => $mean) {
            if (! is_int($mean) && ! is_float($mean)) {
                throw new Fault(sprintf('month %d is no number', $month + 1));
            }
            if ($mean < -50 || $mean > 42) {
                throw new Fault(sprintf(
                    'month %d cannot be %s degrees on average: the coldest place has -50, the hottest 42', $month + 1,
                    (string) $mean,
                ));
            }
            $read[] = (float) $mean;
        }

        return count($read) === 12
            ? new self($read)
            : throw new Fault(sprintf('twelve months are needed, January to December, not %d', count($read)));
    }

    /**
     * A rough year for a place of which nobody knows more: by its latitude, its height and how hard its winters are.
     * Common practice, no source.
     */
    public static function rough(float $latitude, int $elevationM, WinterClass $winter): self
    {
        $swing = abs($latitude) * match ($winter) {
            WinterClass::Cold => 0.28,
            WinterClass::Cool => 0.13,
            WinterClass::Warm => 0.10,
        };
        $mean = 27 - 0.32 * abs($latitude);

        // The coldest days come a month after midwinter.
        return (new self(array_map(
            static fn (int $month): float => $mean
                - $swing * cos(2 * M_PI * ($month - ($latitude < 0 ? 6.1 : 0.1)) / 12),
            range(0, 11),
        )))->raised($elevationM);
    }

    /** The same so many metres higher. */
    public function raised(int $metres): self
    {
        return new self(array_map(
            static fn (float $mean): float => $mean - self::LAPSE * $metres / 100, $this->means,
        ));
    }

    /** The same on the other side of the equator: half a year later. */
    public function mirrored(): self
    {
        return new self([...array_slice($this->means, 6), ...array_slice($this->means, 0, 6)]);
    }

    /** The normal mean of a day, drawn straight from the middle of one month to that of the next. */
    public function onDay(int $dayOfYear): float
    {
        $at = ($dayOfYear - self::MONTH / 2) / self::MONTH;
        $month = (int) floor($at);
        $share = $at - $month;

        return (1 - $share) * $this->means[($month + 12) % 12] + $share * $this->means[($month + 13) % 12];
    }

    public function coldest(): float
    {
        return min($this->means);
    }

    public function warmest(): float
    {
        return max($this->means);
    }

    /** How hard the winter is by it. */
    public function winter(): WinterClass
    {
        return match (true) {
            $this->coldest() <= self::COLD => WinterClass::Cold,
            $this->coldest() >= self::WARM => WinterClass::Warm,
            default => WinterClass::Cool,
        };
    }

    /** Which half of the earth has such a year; null near the equator, where the months hardly differ. */
    public function hemisphere(): ?Hemisphere
    {
        $north = array_sum(array_slice($this->means, 4, 5)) / 5;
        $south = ($this->means[10] + $this->means[11] + $this->means[0] + $this->means[1] + $this->means[2]) / 5;

        return match (true) {
            abs($north - $south) < 2 => null,
            $north > $south => Hemisphere::North,
            default => Hemisphere::South,
        };
    }
}
