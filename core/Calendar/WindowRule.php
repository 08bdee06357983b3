<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

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

    public function in(Anchors $year): Window
    {
        return Window::drawnBack(
            $this->opens->in($year),
            $this->bestFrom->in($year),
            $this->bestTo->in($year),
            $this->closes->in($year),
        );
    }
}
