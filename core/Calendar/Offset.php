<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use PruningHook\Core\Fault;

/**
 * A number of days before or after an anchor, written the way the plant book writes it:
 * `bud-break-30` is thirty days before bud break, `midwinter+56` eight weeks after midwinter, `last-frost` the day
 * itself.
 */
final readonly class Offset
{
    private function __construct(
        public Anchor $anchor,
        public int $days,
    ) {
    }

    /** @throws Fault when the anchor is not one the calendar knows */
    public static function parse(string $text): self
    {
        if (preg_match('/^([a-z][a-z-]*[a-z])\s*([+-]\s*\d{1,3})?$/', trim($text), $part) !== 1) {
            throw new Fault(sprintf('"%s" is not an anchor with a number of days', $text));
        }
        $anchor = Anchor::tryFrom($part[1])
            ?? throw new Fault(sprintf('"%s" is not an anchor of the year', $part[1]));

        return new self($anchor, (int) str_replace(' ', '', $part[2] ?? '0'));
    }

    public function inWords(): string
    {
        if ($this->days === 0) {
            return $this->anchor->inWords();
        }
        $much = abs($this->days);
        $span = $much % 7 === 0 && $much > 7 ? intdiv($much, 7).' weeks' : $much.($much === 1 ? ' day' : ' days');

        return $span.($this->days < 0 ? ' before ' : ' after ').$this->anchor->inWords();
    }
}
