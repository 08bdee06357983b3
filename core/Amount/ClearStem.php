<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\Reason;
use PruningHook\Core\Units\Length;
use PruningHook\Core\Working;

/** Clearing the legs to a height, but never above a third of the plant, so that two thirds of it stay in leaf. */
final readonly class ClearStem implements AmountRule
{
    public const CLEAR = 'clear stem';

    private function __construct(
        private int $min,
        private int $max,
        private string $source,
    ) {
    }

    /** @throws Fault */
    public static function fromEntry(Entry $entry, string $source): self
    {
        return new self($entry->whole('min_mm'), $entry->whole('max_mm'), $source);
    }

    public function for(AmountCase $case): Amounts
    {
        [$plant, $kind] = [$case->plant, $case->kind];
        $height = $plant->heightMm ?? $kind->typicalHeightMm;
        $third = intdiv($height, 3);
        $max = min($this->max, $third);
        $min = min($this->min, $max);

        $clear = Amount::of(self::CLEAR, 'mm', $min, intdiv($min + $max, 2), $max, Effect::ClearStem);

        return Amounts::of([$clear], new Reason(
            'Clear stem',
            sprintf(
                'legs cleared to %s at most: a third of its %s%s, so that the live crown keeps two thirds',
                Length::ofMm($max)->metric(), Length::ofMm($height)->metric(),
                $plant->heightMm === null ? ' (typical height, not measured)' : '',
            ),
            $this->source,
        ))->with(new Working(self::CLEAR, 'height / 3 at most, so that the live crown keeps two '
            .'thirds', "$height / 3 mm", Length::ofMm($max)->metric().' at most', $this->source));
    }
}
