<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure\Rules;

use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\Survey;

/** All-green shoots on a variegated plant, and spikes bolting through the middle: traced to their origin. */
final readonly class Traced implements StemRule
{
    public function name(): string
    {
        return 'Reverted or bolting';
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
        return [
            ...Flagged::candidates(
                $survey, StemFault::Reverted, 'it has gone back to plain green and outgrows the rest',
                'traced to its origin, never snipped at the surface', free: true,
            ),
            ...Flagged::candidates(
                $survey, StemFault::Watershoot, 'it bolts through the middle',
                'traced to its origin, never snipped at the surface',
            ),
        ];
    }
}
