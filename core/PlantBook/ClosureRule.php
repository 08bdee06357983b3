<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Calendar\Anchors;
use PruningHook\Core\Calendar\Closure;
use PruningHook\Core\Calendar\Edge;
use PruningHook\Core\Calendar\Region;

/** Days on which a kind is not cut, hung on anchors: stone fruit out of leaf, say. */
final readonly class ClosureRule
{
    /** @param  list<string>  $regions */
    public function __construct(
        private Edge $from,
        private Edge $to,
        private string $name,
        private string $because,
        private string $source,
        /** @var list<string> regions where it holds; everywhere where none is named */
        private array $regions = [],
    ) {
    }

    public function holdsIn(Region $region): bool
    {
        return $this->regions === [] || in_array($region->value, $this->regions, true);
    }

    public function in(Anchors $year): Closure
    {
        return new Closure($this->from->in($year), $this->to->in($year), $this->name, $this->because, $this->source);
    }
}
