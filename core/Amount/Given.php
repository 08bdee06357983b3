<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;
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
            Amount::of(
                $entry->string('what'), $entry->string('unit'), $entry->whole('min'), $entry->whole('target'),
                $entry->whole('max'),
                $entry->has('effect') ? $entry->parsed('effect', Effect::named(...)) : null,
            ),
            $entry->string('because', ''),
            $source,
        );
    }

    public function for(AmountCase $case): Amounts
    {
        $because = $this->because === '' ? '' : ': '.$this->because;
        $left = $case->budget->leftPercent();
        if ($this->amount->effect !== Effect::LiveShare || $this->amount->max <= $left) {
            return Amounts::of(
                [$this->amount],
                new Reason(ucfirst($this->amount->what), $this->amount->inWords().$because, $this->source),
            );
        }
        $within = Amount::of(
            $this->amount->what, '%', min($this->amount->min, $left), $this->amount->target, $left, Effect::LiveShare,
        );

        return Amounts::of(
            [$within],
            new Reason(
                ucfirst($this->amount->what),
                $left === 0
                    ? 'none: what may go this season has gone'
                    : sprintf(
                        '%s as a rule%s; %d %% has gone this season, so no more than %d %% of what stands',
                        $this->amount->inWords(), $because, $case->budget->usedPercent, $left,
                    ),
                $this->source,
            ),
        );
    }
}
