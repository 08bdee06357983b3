<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use PruningHook\Core\Fault;

/** A window before it meets a year: four edges hung on anchors. */
final readonly class WindowRule
{
    private function __construct(
        public Edge $opens,
        public Edge $bestFrom,
        public Edge $bestTo,
        public Edge $closes,
        /** "best from ... to ...; open from ... to ...", naming the anchors and no dates */
        public string $inWords,
    ) {
    }

    public static function of(Edge $opens, Edge $bestFrom, Edge $bestTo, Edge $closes): self
    {
        return new self($opens, $bestFrom, $bestTo, $closes, sprintf(
            'best from %s to %s; open from %s to %s',
            $bestFrom->inWords(),
            $bestTo->inWords(),
            $opens->inWords(),
            $closes->inWords(),
        ));
    }

    /**
     * True where the year leaves fewer best days between the edges than a window needs, so that they had to be spread.
     */
    public function collapses(Anchors $year): bool
    {
        $numbers = $year->numbers();
        $bestTo = min($this->bestTo->number($numbers), $this->closes->number($numbers));

        return $bestTo - $this->bestFrom->number($numbers) + 1 < Window::LEAST_BEST;
    }

    /** @throws Fault when the year lacks an anchor an edge hangs on */
    public function in(Anchors $year): Window
    {
        $numbers = $year->numbers();

        return Window::drawnBack(
            Day::fromNumber($this->opens->number($numbers)),
            Day::fromNumber($this->bestFrom->number($numbers)),
            Day::fromNumber($this->bestTo->number($numbers)),
            Day::fromNumber($this->closes->number($numbers)),
        );
    }
}
