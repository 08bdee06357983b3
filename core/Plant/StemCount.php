<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

use PruningHook\Core\Fault;

/** The stems at the base, by age: old wood, and the young that is waiting to replace it. */
final readonly class StemCount
{
    private function __construct(
        public int $old,
        public int $young,
    ) {
    }

    /** @throws Fault when a count is negative */
    public static function of(int $old, int $young): self
    {
        if ($old < 0 || $young < 0) {
            throw new Fault('a plant cannot have fewer than no stems');
        }

        return new self($old, $young);
    }

    public function all(): int
    {
        return $this->old + $this->young;
    }
}
