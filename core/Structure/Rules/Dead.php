<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure\Rules;

use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\Survey;

/** Dead wood, first of all. It is free. */
final readonly class Dead implements StemRule
{
    public function name(): string
    {
        return 'Dead';
    }

    public function cleans(): bool
    {
        return true;
    }

    public function looksAgain(): bool
    {
        return false;
    }

    public function candidates(Survey $survey, StemAim $aim, array $rubs): iterable
    {
        return Flagged::candidates($survey, StemFault::Dead, 'it is dead', 'out at the base, down to live wood');
    }
}
