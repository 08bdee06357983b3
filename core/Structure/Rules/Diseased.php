<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure\Rules;

use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\Survey;

/** Diseased wood, cut below the lowest damage. It is free. */
final readonly class Diseased implements StemRule
{
    public function name(): string
    {
        return 'Diseased';
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
            $survey, StemFault::Diseased, 'it is diseased',
            'below the lowest damage, then look at the face of the cut: it must be clean all through; disinfect the '
                .'blade after it',
        );
    }
}
