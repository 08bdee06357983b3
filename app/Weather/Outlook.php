<?php

declare(strict_types=1);

namespace App\Weather;

use App\Bridge\CorePlants;
use App\Models\Garden;
use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Weather\Advice;
use PruningHook\Core\Weather\DayWeather;
use PruningHook\Core\Weather\Forecast;
use PruningHook\Core\Weather\GrowingDegreeDays;
use PruningHook\Core\Weather\WorkAdvice;

/** What the weather says to a garden: of the day of a visit, and of the spring that is coming. */
final class Outlook
{
    /** As far as a forecast is worth telling. */
    public const FORECAST_DAYS = 7;

    /** How far past years tell of days to come, and how many of them. */
    private const FORETOLD_DAYS = 150;

    private const YEARS = 5;

    /** Degree days are counted from 1 January in the north: so long after midwinter. */
    private const COUNT_FROM = 11;

    /** @var array<int, ?Hold> by garden: one forecast serves all its plants */
    private array $holds = [];

    public function __construct(
        private readonly WeatherStation $station,
        private readonly PlantBook $book,
        private readonly CorePlants $bridge,
    ) {
    }

    /** The weather of a day within the forecast, or null for days that are over or too far off. */
    public function on(Site $site, Day $day, Day $today): ?DayWeather
    {
        $ahead = $today->daysUntil($day);

        return $ahead < 0 || $ahead > self::FORECAST_DAYS ? null : $this->station->days($site, $day, $day)[0];
    }

    /** The days ahead as they are forecast, today included. */
    public function forecast(Site $site, Day $today): Forecast
    {
        return Forecast::of(
            $this->station->days(
                $site, $today,
                $today->plus(self::FORECAST_DAYS + $this->book->figures->number(Figure::FrostAfterCut)),
            ),
        );
    }

    /** What holds work at a site today, and the first day the forecast lets it go on; null where nothing does. */
    public function hold(Site $site, Day $today): ?Hold
    {
        $forecast = $this->forecast($site, $today);
        $advice = WorkAdvice::with($this->book->figures);
        $holds = static fn (Day $day): ?Advice => array_values(
            array_filter($advice->on($forecast->from($day)), static fn (Advice $each): bool => $each->hold),
        )[0] ?? null;
        $now = $holds($today);
        if ($now === null) {
            return null;
        }
        for ($ahead = 1; $ahead <= self::FORECAST_DAYS; $ahead++) {
            if ($holds($today->plus($ahead)) === null) {
                return new Hold($now->reason, $today->plus($ahead));
            }
        }

        return new Hold($now->reason, null);
    }

    /** The same, worked out once for a garden. */
    public function holdAt(Garden $garden, Day $today): ?Hold
    {
        return array_key_exists($garden->id, $this->holds)
            ? $this->holds[$garden->id]
            : $this->holds[$garden->id] = $this->hold($this->bridge->site($garden), $today);
    }

    /** @return list<Advice> */
    public function advice(Site $site, Day $day, Day $today): array
    {
        return $this->on($site, $day, $today) === null
            ? []
            : WorkAdvice::with($this->book->figures)->on($this->forecast($site, $today)->from($day));
    }

    /**
     * Kinds whose bloom is known to come at a sum of warmth: what has been gathered, what is needed, the day it was
     * reached, and the day it is foretold for by the forecast and then by the averages of past years.
     * Where that is far from what the plant book expects, the published sum does not fit the climate and is not shown.
     *
     * @return list<array{kind: Kind, sum: int, needed: int, reached: ?Day, foretold: ?Day}> the soonest first
     */
    public function warmth(SiteYear $year, Day $today): array
    {
        $first = $year->day(Anchor::Midwinter)->plus(self::COUNT_FROM);
        // The published sums come from a continental spring; in mild maritime ones plants flower long before them.
        if ($year->site->winter !== WinterClass::Cold || $today->isBefore($first)) {
            return [];
        }
        $known = $today->plus(self::FORECAST_DAYS);
        $days = $this->station->days($year->site, $first, $known);
        $past = array_map(fn (int $ago): array => $this->station->days(
            $year->site, $known->minus(365 * $ago)->plus(1), $known->minus(365 * $ago)->plus(self::FORETOLD_DAYS),
        ), range(1, self::YEARS));
        $sum = GrowingDegreeDays::sum($days);
        $soFar = GrowingDegreeDays::sum(array_slice($days, 0, $first->daysUntil($today) + 1));
        $warmth = [];
        foreach ($this->book->all() as $kind) {
            if ($kind->bloomDegreeDays !== null) {
                $reached = GrowingDegreeDays::reached($days, $kind->bloomDegreeDays);
                $when = $reached ?? GrowingDegreeDays::foretell($sum, $known, $past, $kind->bloomDegreeDays);
                $expected = KindYear::of($year, $kind->phenology)->day(Anchor::BloomStart);
                if (
                    $when === null
                    || abs($expected->daysUntil($when)) > $this->book->figures->number(Figure::WarmthFits)
                ) {
                    continue;
                }
                $over = ! $when->isAfter($today);
                $warmth[] = [
                    'kind' => $kind,
                    'sum' => (int) round($soFar),
                    'needed' => $kind->bloomDegreeDays,
                    'reached' => $over ? $when : null,
                    'foretold' => $over ? null : $when,
                ];
            }
        }
        usort($warmth, static fn (array $a, array $b): int => $a['needed'] <=> $b['needed']);

        return $warmth;
    }
}
