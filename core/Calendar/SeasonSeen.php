<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/**
 * One season at one site as its signs tell it: how late spring and autumn are, and the anchors that were themselves
 * seen.
 */
final readonly class SeasonSeen
{
    /** @param  array<string, Day>  $days  by anchor */
    private function __construct(
        public Shift $spring,
        public Shift $autumn,
        public array $days,
    ) {
    }

    /** @param  array<string, Day>  $days  anchors that were themselves seen */
    public static function of(Shift $spring, ?Shift $autumn = null, array $days = []): self
    {
        return new self($spring, $autumn ?? Shift::none(), $days);
    }

    /** An average season: nothing was seen, or nothing that moves it. */
    public static function average(): self
    {
        return new self(Shift::none(), Shift::none(), []);
    }

    public function isAverage(): bool
    {
        return $this->spring->days === 0 && $this->autumn->days === 0 && $this->days === [];
    }

    /** The signs both halves rest on. */
    public function inWords(): string
    {
        return implode('; ', array_diff([$this->spring->inWords(), $this->autumn->inWords()], ['']));
    }
}
