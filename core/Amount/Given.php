<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Reason;

/** A figure the plant book gives as it stands: buds to a lateral, wires apart. */
final readonly class Given implements AmountRule
{
    private function __construct(
        private Amount $amount,
        private string $because,
        private string $source,
    ) {
    }

    /** @throws Fault */
    public static function fromEntry(Entry $entry, string $source): self
    {
        return new self(
            Amount::of($entry->string('what'), $entry->string('unit'), $entry->whole('min'), $entry->whole('target'), $entry->whole('max')),
            $entry->string('because', ''),
            $source,
        );
    }

    public function for(Plant $plant, Kind $kind): Amounts
    {
        $because = $this->because === '' ? '' : ': '.$this->because;

        return Amounts::of([$this->amount], Reason::of(
            ucfirst($this->amount->what),
            $this->amount->inWords().$because,
            $this->source,
        ));
    }
}
