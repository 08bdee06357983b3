<?php

declare(strict_types=1);

namespace Database\Seeders;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Hemisphere;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Station;
use PruningHook\Core\PlantBook\PlantBook;

/** Where the demo's valley lies: as it was drawn, or round a station of the plant book, to look at another climate. */
final readonly class DemoPlace
{
    /** Where the valley was drawn, and the last frost of its floor. */
    private const DRAWN = ['latitude' => 52.2, 'longitude' => -2.4, 'elevation_m' => 80, 'last_frost' => '04-22'];

    private function __construct(private ?Station $station)
    {
    }

    /** @throws \PruningHook\Core\Fault when there is no such station */
    public static function of(PlantBook $book): self
    {
        $at = config('hook.demo_at');

        return new self(is_string($at) && $at !== '' ? $book->stations->named($at) : null);
    }

    /** @return array<string, float|int> */
    public function depot(): array
    {
        return $this->station === null ? DemoGardens::DEPOT : [
            ...DemoGardens::DEPOT,
            'depot_latitude' => $this->north(DemoGardens::DEPOT['depot_latitude']),
            'depot_longitude' => $this->east(DemoGardens::DEPOT['depot_longitude']),
        ];
    }

    /**
     * @param  array<string, mixed>  $garden  as it was drawn
     * @return array<string, mixed>
     */
    public function garden(array $garden): array
    {
        if ($this->station === null) {
            return $garden;
        }
        $site = $this->station->site;
        $late = MonthDay::parse(self::DRAWN['last_frost'])->in(2027)
            ->daysUntil(MonthDay::parse((string) $garden['last_frost'])->in(2027));
        $frost = static fn (?MonthDay $day, int $days): ?string => $day === null
            ? null
            : (string) MonthDay::of($day->in(2027)->plus($days));

        return [
            ...$garden,
            'latitude' => $this->north((float) $garden['latitude']),
            'longitude' => $this->east((float) $garden['longitude']),
            'elevation_m' => max(0, $site->elevationM + (int) $garden['elevation_m'] - self::DRAWN['elevation_m']),
            'last_frost' => $frost($site->lastFrost, $late),
            'first_frost' => $frost($site->firstFrost, -$late),
            'winter' => '',
        ];
    }

    /** The spring day on which things are planted in a year. */
    public function planting(int $year): Day
    {
        return $this->station?->site->hemisphere() === Hemisphere::South
            ? Day::of($year, 9, 12)
            : Day::of($year, 3, 12);
    }

    private function north(float $latitude): float
    {
        return round(($this->station->site->latitude ?? 0.0) + $latitude - self::DRAWN['latitude'], 5);
    }

    private function east(float $longitude): float
    {
        return round(($this->station->site->longitude ?? 0.0) + $longitude - self::DRAWN['longitude'], 5);
    }
}
