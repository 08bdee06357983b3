<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use PruningHook\Core\Fault;

/** A year in which anchors have days: a site's, or a kind's at that site. */
interface Anchors
{
    /** @throws Fault when this year has no such anchor */
    public function day(Anchor $anchor): Day;

    /**
     * The same as plain numbers, for whoever works out thousands of windows.
     *
     * @return array<string, int> days since 1970-01-01, by anchor
     */
    public function numbers(): array;
}
