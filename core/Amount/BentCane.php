<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\Reason;
use PruningHook\Core\Units\Length;
use PruningHook\Core\Working;

/**
 * A cane bent down breaks all along it and flowers there; an upright one flowers only at its top. Laterals = length /
 * spacing.
 */
final readonly class BentCane implements AmountRule
{
    public const LATERALS = 'flowering laterals to a bent cane';

    private function __construct(
        private int $spacingMm,
        private string $source,
    ) {
    }

    /** @throws Fault */
    public static function fromEntry(Entry $entry, string $source): self
    {
        return new self($entry->whole('spacing_mm', 1), $source);
    }

    public function for(AmountCase $case): Amounts
    {
        [$plant, $kind] = [$case->plant, $case->kind];
        // Bent to one side it reaches half the spread; where nobody has measured that, as far as the plant is tall.
        $length = $plant->spreadMm === null ? $plant->heightMm ?? $kind->typicalHeightMm : intdiv($plant->spreadMm, 2);
        $laterals = intdiv($length, $this->spacingMm);

        return Amounts::of(
            [Amount::of(self::LATERALS, 'laterals', intdiv($laterals, 2), $laterals, $laterals)],
            new Reason(
                'Bent canes',
                sprintf(
                    'a cane of %s tied down breaks about every %s: %d flowering laterals, where an upright one '
                        .'flowers only at the top',
                    Length::ofMm($length)->metric(), Length::ofMm($this->spacingMm)->metric(), $laterals,
                ),
                $this->source,
            ),
        )->with(
            new Working(
                self::LATERALS, 'cane length / spacing', "$length / $this->spacingMm mm", (string) $laterals,
                $this->source,
            ),
        );
    }
}
