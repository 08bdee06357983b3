<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\Reason;
use PruningHook\Core\Working;

/**
 * Buds by the weight of the one-year wood taken off: so many for the first pound and so many for each further one,
 * parts of a pound in proportion, up to a ceiling. The pair 30 + 10 is that of Concord.
 *
 * Cornell and Ohio State small-fruit guides (from memory).
 */
final readonly class BalancedPruning implements AmountRule
{
    public const BUDS = 'buds to the vine';

    private const GRAMS_A_POUND = 453.6;

    private function __construct(
        private int $first,
        private int $further,
        private int $floor,
        private int $ceiling,
        private string $source,
    ) {
    }

    /** @throws Fault */
    public static function fromEntry(Entry $entry, string $source): self
    {
        return new self(
            $entry->whole('first'), $entry->whole('further'), $entry->int('floor') ?? 0, $entry->whole('ceiling'),
            $source,
        );
    }

    public static function buds(int $grams, int $first, int $further, int $ceiling, int $floor = 0): int
    {
        return min($ceiling, max($floor, $first + (int) round(max(0.0, $grams / self::GRAMS_A_POUND - 1) * $further)));
    }

    public function for(AmountCase $case): Amounts
    {
        $plant = $case->plant;
        if ($plant->pruningsG === null) {
            return Amounts::of(
                [],
                new Reason(
                    'Balanced pruning',
                    sprintf(
                        'weigh the one-year wood as it comes off: %d buds for the first pound, %d for each further '
                            .'one, %d at the most',
                        $this->first, $this->further, $this->ceiling,
                    ),
                    $this->source,
                ),
            );
        }
        $buds = self::buds($plant->pruningsG, $this->first, $this->further, $this->ceiling, $this->floor);
        $pounds = number_format($plant->pruningsG / self::GRAMS_A_POUND, 1);

        return Amounts::of(
            [Amount::exactly(self::BUDS, 'buds', $buds)],
            new Reason(
                'Balanced pruning',
                sprintf('%d g (%s lb) of one-year wood came off: %d buds stay', $plant->pruningsG, $pounds, $buds),
                $this->source,
            ),
        )->with(
            new Working(
                self::BUDS,
                "first pound $this->first, each further pound $this->further, at most $this->ceiling",
                sprintf(
                    '%s lb: %d + %.1f x %d', $pounds, $this->first,
                    max(0.0, $plant->pruningsG / self::GRAMS_A_POUND - 1), $this->further,
                ),
                "$buds buds",
                $this->source,
            ),
        );
    }
}
