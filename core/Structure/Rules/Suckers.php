<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure\Rules;

use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\Survey;

/** Suckers: from below the graft always; on its own roots a shoot in the right place is a new main and stays. */
final readonly class Suckers implements StemRule
{
    public function name(): string
    {
        return 'Sucker';
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
        // On its own roots a shoot from the base is a new main, and an old one goes for it, wherever mains are renewed.
        if (! $aim->grafted && $aim->plan->renews() && $aim->keep !== 1) {
            return [];
        }

        return $aim->grafted
            ? Flagged::candidates(
                $survey, StemFault::Sucker, 'it comes from below the graft and is not the plant you want',
                'pulled off where it begins, never snipped at the surface',
            )
            : Flagged::candidates($survey, StemFault::Sucker, 'it stands where no main is wanted', 'out at its origin');
    }
}
