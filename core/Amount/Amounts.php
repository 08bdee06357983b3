<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Reason;
use PruningHook\Core\Working;

/** What one amount rule answers: the amounts and why they are so. */
final readonly class Amounts
{
    /**
     * @param  list<Amount>  $amounts
     * @param  list<Reason>  $reasons
     * @param  list<Working>  $workings
     */
    private function __construct(
        public array $amounts,
        public array $reasons,
        public array $workings,
    ) {
    }

    /** @param  list<Amount>  $amounts */
    public static function of(array $amounts, Reason ...$reasons): self
    {
        return new self($amounts, array_values($reasons), []);
    }

    /** The same, with how its numbers came about. */
    public function with(Working ...$workings): self
    {
        return new self($this->amounts, $this->reasons, [...$this->workings, ...array_values($workings)]);
    }

    public function and(self $other): self
    {
        return new self(
            [...$this->amounts, ...$other->amounts], [...$this->reasons, ...$other->reasons],
            [...$this->workings, ...$other->workings],
        );
    }
}
