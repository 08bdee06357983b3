<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/** Days on which a plant is not cut at all, both included, and why. */
final readonly class Closure
{
    public function __construct(
        public Day $from,
        public Day $to,
        /** "Disease closure", say */
        public string $name,
        public string $because,
        public string $source,
    ) {
    }

    public function contains(Day $day): bool
    {
        return ! $day->isBefore($this->from) && ! $day->isAfter($this->to);
    }

    /** @return array{from: string, to: string, because: string} */
    public function toArray(): array
    {
        return ['from' => (string) $this->from, 'to' => (string) $this->to, 'because' => $this->because];
    }
}
