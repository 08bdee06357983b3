<?php

declare(strict_types=1);

namespace PruningHook\Core\Weather;

use PruningHook\Core\Calendar\Day;

/** The days ahead as they are forecast. */
final readonly class Forecast
{
    /** @param  array<int, DayWeather>  $days by the day's number */
    private function __construct(private array $days)
    {
    }

    /** @param  list<DayWeather>  $days */
    public static function of(array $days): self
    {
        return new self(
            array_combine(array_map(static fn (DayWeather $weather): int => $weather->day->number, $days), $days),
        );
    }

    public static function none(): self
    {
        return new self([]);
    }

    public function on(Day $day): ?DayWeather
    {
        return $this->days[$day->number] ?? null;
    }

    /** @return list<DayWeather> the day and those after it without a gap; empty where the day itself is not forecast */
    public function from(Day $day): array
    {
        $days = [];
        while (($weather = $this->on($day)) !== null) {
            $days[] = $weather;
            $day = $day->plus(1);
        }

        return $days;
    }

    /**
     * The days on which what it says may change: each of its own, and the one after.
     *
     * @return list<Day>
     */
    public function turns(): array
    {
        $turns = [];
        foreach ($this->days as $weather) {
            $turns = [...$turns, $weather->day, $weather->day->plus(1)];
        }

        return $turns;
    }
}
