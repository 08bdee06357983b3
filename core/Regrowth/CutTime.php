<?php

declare(strict_types=1);

namespace PruningHook\Core\Regrowth;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\PlantBook\FloweringWood;

/** When in a plant's year a cut falls: before it flowers or grows, between its flowers and its growth, after both. */
enum CutTime
{
    /** Growth is well under way so many days after the buds broke, or the early flowers were over. Common practice. */
    private const GROWN = 60;

    case Winter;
    case AfterBloom;
    case Summer;

    public static function of(Day $cut, FloweringWood $wood, KindYear $year): self
    {
        $flowered = in_array($wood, [FloweringWood::Old, FloweringWood::Both], true) && $year->has(Anchor::BloomEnd)
            && ! $cut->isBefore($year->day(Anchor::BloomStart));
        $begins = $year->has(Anchor::BudBreak) ? $year->day(Anchor::BudBreak) : $cut;
        if ($flowered) {
            $begins = Day::latest($begins, $year->day(Anchor::BloomEnd));
        }

        return match (true) {
            $cut->isAfter($begins->plus(self::GROWN)) => self::Summer,
            $flowered => self::AfterBloom,
            default => self::Winter,
        };
    }
}
