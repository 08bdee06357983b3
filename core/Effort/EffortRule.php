<?php

declare(strict_types=1);

namespace PruningHook\Core\Effort;

use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\EffortRates;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Reason;
use PruningHook\Core\Working;

/**
 * Minutes for one gardener: (base + per metre of height + per stem) for each plant, plus per metre of run or per square
 * metre of a hedge's faces and top; then drawn towards what this plant has really taken, by its own log.
 *
 * The rates are common practice of the trade; they are starting points until there is a log.
 */
final readonly class EffortRule
{
    /** The rate counts as much as this many logged visits. Common practice, no source. */
    private const WEIGHT_OF_RATE = 2;

    /** @param  int  $hedgeTopMm  width on top of a hedge nobody has measured */
    public function __construct(private EffortRates $rates, private int $hedgeTopMm)
    {
    }

    /** @param  float  $factor how many times as long it takes, because the pass before was missed */
    public function minutes(Plant $plant, Kind $kind, string $task, float $factor): Effort
    {
        $rate = $this->rate($plant, $kind);
        $logged = self::logged($plant, $task);
        $learned = self::learned($rate, $logged);
        $said = $this->inWords($plant, $plant->heightMm ?? $kind->typicalHeightMm);
        if ($logged !== []) {
            $said .= sprintf(
                ': %d min by the usual rate, drawn towards the %d min it took on average over %d logged %s',
                (int) round($rate),
                (int) round(array_sum($logged) / count($logged)),
                count($logged),
                count($logged) === 1 ? 'visit' : 'visits',
            );
        }
        $minutes = self::whole($learned, $factor);

        return new Effort(
            $minutes,
            Reason::commonPractice('Time', $said),
            new Working(
                'minutes',
                '(rate x '.
                    self::WEIGHT_OF_RATE.
                    ' + minutes logged) / ('.
                    self::WEIGHT_OF_RATE.
                    ' + visits logged) x missed-pass factor',
                sprintf(
                    '(%d x %d + %d) / (%d + %d) x %s', (int) round($rate), self::WEIGHT_OF_RATE,
                    (int) round($learned * (self::WEIGHT_OF_RATE + count($logged)) - self::WEIGHT_OF_RATE * $rate),
                    self::WEIGHT_OF_RATE, count($logged), rtrim(rtrim(number_format($factor, 1), '0'), '.'),
                ),
                "$minutes min",
                'common practice',
            ),
        );
    }

    /** The minutes alone, as `minutes` comes to them. */
    public function alone(Plant $plant, Kind $kind, string $task, float $factor): int
    {
        return self::whole(self::learned($this->rate($plant, $kind), self::logged($plant, $task)), $factor);
    }

    private function rate(Plant $plant, Kind $kind): float
    {
        $each =
            $this->rates->base +
            $this->rates->perMetreHeight * ($plant->heightMm ?? $kind->typicalHeightMm) / 1000 +
            $this->rates->perStem * ($plant->stems?->all() ?? 0);

        return $each * $plant->count +
            $this->rates->perMetreRun * ($plant->runMm ?? 0) / 1000 +
            $this->rates->perSquareMetre * $plant->face(
                $plant->heightMm ?? $kind->typicalHeightMm, $this->hedgeTopMm,
            );
    }

    /** @return list<int> the minutes this task of this plant took, each time it was done */
    private static function logged(Plant $plant, string $task): array
    {
        $minutes = [];
        foreach ($plant->history as $work) {
            if ($work->task === $task && $work->outcome === Outcome::Done && $work->minutes !== null) {
                $minutes[] = $work->minutes;
            }
        }

        return $minutes;
    }

    /** @param  list<int>  $logged */
    private static function learned(float $rate, array $logged): float
    {
        return (self::WEIGHT_OF_RATE * $rate + array_sum($logged)) / (self::WEIGHT_OF_RATE + count($logged));
    }

    private static function whole(float $learned, float $factor): int
    {
        return max(1, (int) round($learned * $factor));
    }

    private function inWords(Plant $plant, int $height): string
    {
        $parts = [];
        if ($this->rates->base > 0) {
            $parts[] = $this->rates->base.' min';
        }
        if ($this->rates->perMetreHeight > 0) {
            $parts[] = sprintf(
                '%s min for each of its %s m of height%s', $this->rates->perMetreHeight,
                number_format($height / 1000, 1), $plant->heightMm === null ? ' (typical, not measured)' : '',
            );
        }
        if ($this->rates->perStem > 0) {
            $parts[] = sprintf('%s min for each of its %d stems', $this->rates->perStem, $plant->stems?->all() ?? 0);
        }
        $said = implode(' and ', $parts).($plant->count > 1 ? sprintf(', for each of %d plants', $plant->count) : '');

        if ($this->rates->perSquareMetre > 0 && $plant->runMm !== null) {
            return sprintf(
                '%s, and %s min for each of its %s square metres of face and top', $said,
                $this->rates->perSquareMetre, number_format($plant->face($height, $this->hedgeTopMm), 1),
            );
        }

        return $this->rates->perMetreRun > 0 && $plant->runMm !== null
            ? $said.
                    sprintf(
                        ', and %s min for each of its %s m of run', $this->rates->perMetreRun,
                        number_format($plant->runMm / 1000, 1),
                    )
            : $said;
    }
}
