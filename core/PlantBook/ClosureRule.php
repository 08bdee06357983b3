<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Calendar\Anchors;
use PruningHook\Core\Calendar\Closure;
use PruningHook\Core\Calendar\Edge;

/** Days on which a kind is not cut, hung on anchors: stone fruit out of leaf, say. */
final readonly class ClosureRule
{
    private function __construct(
        private Edge $from,
        private Edge $to,
        private string $name,
        private string $because,
        private string $source,
    ) {
    }

    public static function of(Edge $from, Edge $to, string $name, string $because, string $source): self
    {
        return new self($from, $to, $name, $because, $source);
    }

    public function in(Anchors $year): Closure
    {
        return Closure::of($this->from->in($year), $this->to->in($year), $this->name, $this->because, $this->source);
    }
}
