<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Hemisphere;
use PruningHook\Core\Units\Length;

/**
 * What a plant is on a day: what was last measured, then changed by its record, then grown older. Measuring again
 * begins anew. Each midwinter half of the young stems grow old (those of two summers) and new ones come from the base:
 * one more than were taken out, up to what the kind makes. Common practice, no source.
 */
final readonly class Life
{
    /** @param  array<string, string>  $from  where each carried number comes from, under `stems` and `height` */
    private function __construct(public ?StemCount $stems, public ?int $heightMm, public array $from)
    {
    }

    public static function at(Plant $plant, Day $day, Hemisphere $hemisphere, Growing $growing): self
    {
        [$stems, $ofStems] = self::stems($plant, $day, $hemisphere, $growing);
        [$height, $ofHeight] = self::height($plant, $day, $hemisphere, $growing);

        return new self(
            $stems,
            $height,
            array_filter(['stems' => $ofStems, 'height' => $ofHeight], static fn (string $says): bool => $says !== ''),
        );
    }

    /** @return array{?StemCount, string} */
    private static function stems(Plant $plant, Day $day, Hemisphere $hemisphere, Growing $growing): array
    {
        if ($plant->stems === null || $plant->stemsOn === null) {
            return [$plant->stems, ''];
        }
        [$old, $young] = [$plant->stems->old, $plant->stems->young];
        $out = $outThisYear = $grown = $came = 0;
        $days = [];
        foreach (self::since($plant->stemsOn, $plant, $day, $hemisphere) as $event) {
            if ($event === null) {
                $older = (int) ceil($young / 2);
                $new = min($growing->basalShoots, $outThisYear + 1);
                [$old, $young] = [$old + $older, $young - $older + $new];
                [$grown, $came, $outThisYear] = [$grown + $older, $came + $new, 0];
            } elseif ($event->taken !== null && $event->taken->stems() > 0) {
                $oldOut = min($old, $event->taken->old + $event->taken->any);
                $youngOut = min(
                    $young, $event->taken->young + max(0, $event->taken->any - max(0, $oldOut - $event->taken->old)),
                );
                [$old, $young] = [$old - $oldOut, $young - $youngOut];
                $out += $oldOut + $youngOut;
                $outThisYear += $oldOut + $youngOut;
                $days[] = $event->on->equals($plant->stemsOn)
                    ? 'that day'
                    : 'on '.$event->on->inWords().' '.$event->on->year();
            }
        }
        if ($out + $grown + $came === 0) {
            return [$plant->stems, ''];
        }

        return [
            StemCount::of($old, $young),
            sprintf(
                '%d old and %d young counted on %s %d', $plant->stems->old, $plant->stems->young,
                $plant->stemsOn->inWords(), $plant->stemsOn->year(),
            ).
            ($out > 0
                ? sprintf(', %d taken out %s', $out, implode(' and ', array_slice(array_unique($days), -2)))
                : '').
            ($grown + $came > 0 ? sprintf('; since then %d grew old and %d came from the base', $grown, $came) : ''),
        ];
    }

    /** @return array{?int, string} */
    private static function height(Plant $plant, Day $day, Hemisphere $hemisphere, Growing $growing): array
    {
        if ($plant->heightMm === null || $plant->heightOn === null) {
            return [$plant->heightMm, ''];
        }
        $height = $plant->heightMm;
        $cut = null;
        $grew = 0;
        foreach (self::since($plant->heightOn, $plant, $day, $hemisphere) as $event) {
            if ($event?->taken?->heightMm !== null) {
                [$height, $cut, $grew] = [min($height, $event->taken->heightMm), $event, 0];
            } elseif ($event === null && ! $growing->keepsItsHeight) {
                $more = min($growing->extensionMm, max(0, $growing->tallestMm - $height));
                $height += $more;
                $grew += $more;
            }
        }
        if ($cut === null && $grew === 0) {
            return [$plant->heightMm, ''];
        }

        return [
            $height,
            ($cut === null
                ? sprintf(
                    '%s measured on %s %d', Length::ofMm($plant->heightMm)->metric(), $plant->heightOn->inWords(),
                    $plant->heightOn->year(),
                )
                : sprintf(
                    'cut to %s on %s %d', Length::ofMm($cut->taken->heightMm ?? 0)->metric(), $cut->on->inWords(),
                    $cut->on->year(),
                )).($grew > 0 ? ', and '.Length::ofMm($grew)->metric().' grown since' : ''),
        ];
    }

    /**
     * What has happened from the day of the measure on: lines of the record, and null for each midwinter, in order.
     *
     * @return list<?LoggedWork>
     */
    private static function since(Day $from, Plant $plant, Day $to, Hemisphere $hemisphere): array
    {
        $events = [];
        foreach ($plant->history as $index => $work) {
            if ($work->outcome !== Outcome::NotDone && ! $work->on->isBefore($from) && ! $work->on->isAfter($to)) {
                $events[] = [$work->on->number, 1, $index, $work];
            }
        }
        for ($season = $from->year(); $season <= $to->year() + 1; $season++) {
            $midwinter = $hemisphere->midwinterOf($season);
            if ($midwinter->isAfter($from) && ! $midwinter->isAfter($to)) {
                $events[] = [$midwinter->number, 0, 0, null];
            }
        }
        usort($events, static fn (array $a, array $b): int => [$a[0], $a[1], $a[2]] <=> [$b[0], $b[1], $b[2]]);

        return array_column($events, 3);
    }
}
