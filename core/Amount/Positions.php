<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\Reason;
use PruningHook\Core\Units\Length;
use PruningHook\Core\Working;

/**
 * How many laterals stand along an arm at a spacing: floor(length / spacing) + 1, for each of the plant's arms, which
 * share its spread.
 */
final readonly class Positions implements AmountRule
{
    private function __construct(
        private string $what,
        private int $spacingMm,
        private string $source,
    ) {
    }

    /** @throws Fault */
    public static function fromEntry(Entry $entry, string $source): self
    {
        return new self($entry->string('what'), $entry->whole('spacing_mm', 1), $source);
    }

    /** @param  int  $lengthMm at least 0 */
    public static function along(int $lengthMm, int $spacingMm): int
    {
        return intdiv($lengthMm, $spacingMm) + 1;
    }

    public function for(AmountCase $case): Amounts
    {
        $plant = $case->plant;
        $spacing = Amount::exactly(
            'spacing of the laterals', 'mm', $this->spacingMm, Effect::LateralsApart,
        );
        $apart = Length::ofMm($this->spacingMm)->metric();
        if ($plant->spreadMm === null) {
            return Amounts::of([$spacing], new Reason('Spacing', 'laterals about '.$apart.' apart', $this->source));
        }
        $count = self::along($plant->spreadMm, $this->spacingMm);

        return Amounts::of([
            $spacing,
            Amount::of($this->what, 'laterals', (int) floor($count * 0.8), $count, $count),
        ], new Reason(
            'Spacing',
            sprintf('%s of arms with a lateral every %s has room for '
                .'%d', Length::ofMm($plant->spreadMm)->metric(), $apart, $count),
            $this->source,
        ))->with(new Working($this->what, 'floor(length / spacing) + 1', "floor($plant->spreadMm / "
            ."$this->spacingMm) + 1", (string) $count, $this->source));
    }
}
