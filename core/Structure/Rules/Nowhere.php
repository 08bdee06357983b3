<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure\Rules;

use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\Survey;

/** Wood that goes nowhere useful. */
final readonly class Nowhere implements StemRule
{
    public function name(): string
    {
        return 'Going nowhere';
    }

    public function cleans(): bool
    {
        return false;
    }

    public function looksAgain(): bool
    {
        return false;
    }

    public function candidates(Survey $survey, StemAim $aim, array $rubs): iterable
    {
        return Flagged::candidates(
            $survey, StemFault::Nowhere, 'it goes nowhere useful', 'out at the base or at its parent',
        );
    }
}
