<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/**
 * An event that follows warmth and light, told as its day at a place whose year is known, and kept as the sum that is
 * there on that day. Anywhere else it comes when the same sum is there.
 */
final readonly class ThermalDate
{
    private function __construct(public float $sum, public string $inWords)
    {
    }

    public static function at(Station $station, MonthDay $day): self
    {
        $midwinter = $station->site->hemisphere()->midwinterOf(2027);
        $after = $midwinter->daysUntil($day->nearest($midwinter->plus(182)));
        $sum = $station->site->thermal()->sumOn($after);

        return new self($sum, sprintf(
            'about %s at %s, and elsewhere when as much warmth and light have added up (%d degree days)',
            $day->in(2027)->inWords(), $station->name, max(0, (int) round($sum)),
        ));
    }
}
