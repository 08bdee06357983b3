<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/** Days on which a plant is not cut at all, both included, and why. */
final readonly class Closure
{
    private function __construct(
        public Day $from,
        public Day $to,
        /** "Disease closure", say */
        public string $name,
        public string $because,
        public string $source,
    ) {
    }

    public static function of(Day $from, Day $to, string $name, string $because, string $source): self
    {
        return new self($from, $to, $name, $because, $source);
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
