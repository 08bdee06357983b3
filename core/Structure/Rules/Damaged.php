<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure\Rules;

use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\Survey;

/** Broken and torn wood. It is free. */
final readonly class Damaged implements StemRule
{
    public function name(): string
    {
        return 'Damaged';
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
        return Flagged::candidates(
            $survey, StemFault::Damaged, 'it is damaged, and disease enters there',
            'below the damage, at the base where little is left of it',
        );
    }
}
