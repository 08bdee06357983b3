<?php

declare(strict_types=1);

namespace PruningHook\Core\Exercise;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Growth\Cut;

/** What somebody would do: cuts in their order, and the day they would be made on. */
final readonly class Answer
{
    /** @param  list<Cut>  $cuts */
    public function __construct(public array $cuts, public ?Day $day)
    {
    }
}
