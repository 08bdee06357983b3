<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\Reason;
use PruningHook\Core\Units\Length;
use PruningHook\Core\Working;

/** Wires for a trained plant: the first at a height, the others a spacing apart, as far as the plant goes. */
final readonly class Wires implements AmountRule
{
    public const WIRES = 'wires';

    private function __construct(
        private int $firstMm,
        private int $spacingMm,
        private string $source,
    ) {
    }

    /** @throws Fault */
    public static function fromEntry(Entry $entry, string $source): self
    {
        return new self(
            $entry->int('first_mm') ?? $entry->whole('spacing_mm', 1), $entry->whole('spacing_mm', 1), $source,
        );
    }

    public function for(AmountCase $case): Amounts
    {
        [$plant, $kind] = [$case->plant, $case->kind];
        $height = $plant->heightMm ?? $kind->typicalHeightMm;
        $count = $height < $this->firstMm ? 1 : Positions::along($height - $this->firstMm, $this->spacingMm);

        return Amounts::of(
            [
                Amount::exactly('first wire', 'mm', $this->firstMm, Effect::FirstWire),
                Amount::exactly('wires apart', 'mm', $this->spacingMm, Effect::WiresApart),
                Amount::exactly(self::WIRES, 'wires', $count, Effect::Wires),
            ],
            new Reason(
                'Wires',
                sprintf(
                    'the first at %s, the others %s apart: %d for %s', Length::ofMm($this->firstMm)->metric(),
                    Length::ofMm($this->spacingMm)->metric(), $count, Length::ofMm($height)->metric(),
                ),
                $this->source,
            ),
        )->with(
            new Working(
                self::WIRES, 'floor((height - first) / spacing) + 1',
                $height < $this->firstMm
                    ? sprintf('%d mm is below the first wire at %d mm: that one', $height, $this->firstMm)
                    : sprintf('floor((%d - %d) / %d) + 1 mm', $height, $this->firstMm, $this->spacingMm),
                (string) $count, $this->source,
            ),
        );
    }
}
