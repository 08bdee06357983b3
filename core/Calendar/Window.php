<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use PruningHook\Core\Fault;

/** The days on which a task may be done, and within them those on which it is done best. All four days are included. */
final readonly class Window
{
    private function __construct(
        public Day $opens,
        public Day $bestFrom,
        public Day $bestTo,
        public Day $closes,
    ) {
    }

    /** @throws Fault when the four days are out of order */
    public static function of(Day $opens, Day $bestFrom, Day $bestTo, Day $closes): self
    {
        if ($bestFrom->isBefore($opens) || $bestTo->isBefore($bestFrom) || $closes->isBefore($bestTo)) {
            throw new Fault("a window's days must follow each other: $opens, $bestFrom, $bestTo, $closes");
        }

        return new self($opens, $bestFrom, $bestTo, $closes);
    }

    /** Fewer best days than this, both ends included, are no window anybody can plan by. Common practice, no source. */
    public const LEAST_BEST = 10;

    /**
     * A window whose days cross on this site's short year. The later edge wins, since it is the one that guards
     * buds, sap or ripening wood; the earlier ones are drawn back to it. Where that leaves too few best days, they
     * spread over the open ones, and at last over the days just before.
     */
    public static function drawnBack(Day $opens, Day $bestFrom, Day $bestTo, Day $closes): self
    {
        $bestTo = Day::earliest($bestTo, $closes);
        $bestFrom = Day::earliest($bestFrom, $bestTo);
        $opens = Day::earliest($opens, $bestFrom);
        $short = self::LEAST_BEST - 1 - $bestFrom->daysUntil($bestTo);
        if ($short > 0) {
            $back = min($short, $opens->daysUntil($bestFrom));
            $on = min($short - $back, $bestTo->daysUntil($closes));
            $bestFrom = $bestFrom->minus($short - $on);
            $bestTo = $bestTo->plus($on);
        }

        return new self(Day::earliest($opens, $bestFrom), $bestFrom, $bestTo, $closes);
    }

    public function contains(Day $day): bool
    {
        return ! $day->isBefore($this->opens) && ! $day->isAfter($this->closes);
    }

    public function isBestOn(Day $day): bool
    {
        return ! $day->isBefore($this->bestFrom) && ! $day->isAfter($this->bestTo);
    }

    /** @return array{opens: string, best_from: string, best_to: string, closes: string} */
    public function toArray(): array
    {
        return [
            'opens' => (string) $this->opens,
            'best_from' => (string) $this->bestFrom,
            'best_to' => (string) $this->bestTo,
            'closes' => (string) $this->closes,
        ];
    }
}
