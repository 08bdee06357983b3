<?php

declare(strict_types=1);

namespace PruningHook\Core\Weather;

use PruningHook\Core\Reason;

/** One thing the weather says to a day's work. */
final readonly class Advice
{
    private function __construct(
        /** true where the work should wait */
        public bool $hold,
        public Reason $reason,
    ) {
    }

    public static function hold(Reason $reason): self
    {
        return new self(true, $reason);
    }

    public static function mind(Reason $reason): self
    {
        return new self(false, $reason);
    }
}
