<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/** How many days late (or early, negative) one half of a season is seen to come, and from what. */
final readonly class Shift
{
    /** Signs a reason names before it only counts them. */
    private const NAMED = 3;

    /** @param  list<string>  $from  the signs it rests on, in words */
    private function __construct(
        public int $days,
        public array $from,
    ) {
    }

    /** @param  list<string>  $from */
    public static function of(int $days, array $from): self
    {
        return new self($days, $from);
    }

    public static function none(): self
    {
        return new self(0, []);
    }

    /** What it rests on: the first few signs, and how many more. */
    public function inWords(): string
    {
        $more = count($this->from) - self::NAMED;

        return implode('; ', array_slice($this->from, 0, self::NAMED)).($more > 0 ? "; and $more more" : '');
    }
}
