<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/** How many days late (or early, negative) one half of a season is seen to come, and from what. */
final readonly class Shift
{
    /** Signs a reason names before it only counts them. */
    public const NAMED = 3;

    /**
     * @param  list<string>  $from  the first signs it rests on, in words
     * @param  int  $more  how many signs there are besides
     */
    private function __construct(
        public int $days,
        public array $from,
        public int $more,
    ) {
    }

    /**
     * @param  list<string>  $from
     * @param  int  $more  signs that are only counted, besides those named
     */
    public static function of(int $days, array $from, int $more = 0): self
    {
        return new self($days, array_slice($from, 0, self::NAMED), $more + max(0, count($from) - self::NAMED));
    }

    public static function none(): self
    {
        return new self(0, [], 0);
    }

    /** What it rests on: the first few signs, and how many more. */
    public function inWords(): string
    {
        return implode('; ', $this->from).($this->more > 0 ? "; and $this->more more" : '');
    }
}
