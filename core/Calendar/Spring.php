<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/** One season's spring at one site, as it is seen to come: how many days late (or early, negative), and from what. */
final readonly class Spring
{
    /** Observations a reason names before it only counts them. */
    private const NAMED = 3;

    /**
     * @param  array<string, Day>  $seen  anchors that were themselves observed
     * @param  list<string>  $from  the observations it rests on, in words
     */
    private function __construct(
        public int $shift,
        public array $seen,
        public array $from,
    ) {
    }

    /**
     * @param  array<string, Day>  $seen
     * @param  list<string>  $from
     */
    public static function of(int $shift, array $seen, array $from): self
    {
        return new self($shift, $seen, $from);
    }

    public static function average(): self
    {
        return new self(0, [], []);
    }

    /** What it rests on: the first few observations, and how many more. */
    public function inWords(): string
    {
        $more = count($this->from) - self::NAMED;

        return implode('; ', array_slice($this->from, 0, self::NAMED)).($more > 0 ? "; and $more more" : '');
    }

    public function isAverage(): bool
    {
        return $this->shift === 0 && $this->seen === [];
    }
}
