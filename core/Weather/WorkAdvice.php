<?php

declare(strict_types=1);

namespace PruningHook\Core\Weather;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Figures;

/** What the forecast says to a day's pruning: hold it, or mind something. */
final readonly class WorkAdvice
{
    private function __construct(private Figures $figures)
    {
    }

    public static function with(Figures $figures): self
    {
        return new self($figures);
    }

    /**
     * @param  list<DayWeather>  $days  the day of the work first, then the days after it
     * @return list<Advice> what holds the work first; empty where the weather has nothing to say
     */
    public function on(array $days): array
    {
        return array_values(array_filter([
            $this->frost(array_slice($days, 0, $this->figures->number(Figure::FrostAfterCut))),
            $this->rain($days[0] ?? null),
            $this->heat($days[0] ?? null),
        ]));
    }

    /**
     * What holds the work on a day, and the first of the days after it on which nothing does; null where it need not
     * wait.
     *
     * @param  int  $ahead  how many days the forecast is worth
     */
    public function hold(Forecast $forecast, Day $day, int $ahead): ?Hold
    {
        $now = $this->holding($forecast, $day);
        if ($now === null) {
            return null;
        }
        for ($later = 1; $later <= $ahead; $later++) {
            if ($this->holding($forecast, $day->plus($later)) === null) {
                return new Hold($now->reason, $day->plus($later));
            }
        }

        return new Hold($now->reason, null);
    }

    private function holding(Forecast $forecast, Day $day): ?Advice
    {
        foreach ($this->on($forecast->from($day)) as $advice) {
            if ($advice->hold) {
                return $advice;
            }
        }

        return null;
    }

    /** @param  list<DayWeather>  $days */
    private function frost(array $days): ?Advice
    {
        foreach ($days as $day) {
            if ($day->min <= $this->figures->number(Figure::HardFrost)) {
                return Advice::hold(
                    $this->figures->reason(
                        Figure::HardFrost,
                        'Hold: hard frost',
                        sprintf(
                            '%d degrees are forecast for %s: fresh cuts die back and frozen wood tears; wait until '
                                .'it has passed',
                            (int) round($day->min), $day->day->inWords(),
                        ),
                    ),
                );
            }
        }

        return null;
    }

    private function rain(?DayWeather $day): ?Advice
    {
        return $day === null || $day->rainMm < $this->figures->number(Figure::Rain)
            ? null
            : Advice::hold(
                $this->figures->reason(
                    Figure::Rain,
                    'Hold: rain',
                    sprintf(
                        '%d mm of rain: wet cuts carry disease and ladders slip; box, cherries and roses wait for a '
                            .'dry day',
                        (int) round($day->rainMm),
                    ),
                ),
            );
    }

    private function heat(?DayWeather $day): ?Advice
    {
        return $day === null || $day->max < $this->figures->number(Figure::Heat)
            ? null
            : Advice::mind(
                $this->figures->reason(
                    Figure::Heat,
                    'Mind the heat',
                    sprintf(
                        '%d degrees: start early, shade and water for the crew, lay no soft growth bare',
                        (int) round($day->max),
                    ),
                ),
            );
    }
}
