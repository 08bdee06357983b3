<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure\Rules;

use PruningHook\Core\Structure\Candidate;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\StemPlan;
use PruningHook\Core\Structure\Survey;

/** Wood that grows into the middle; for a bowl also what stands bolt upright in it. */
final readonly class Inward implements StemRule
{
    public function name(): string
    {
        return 'Growing inward';
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
        $candidates = Flagged::candidates(
            $survey, StemFault::Inward, 'it grows into the middle', 'out at the base or at its parent',
        );
        if ($aim->plan !== StemPlan::Bowl) {
            return $candidates;
        }
        $upright = array_filter(
            $survey->standing(),
            static fn (Stem $stem): bool => $stem->leanDeg < $aim->uprightDeg && ! $stem->has(StemFault::Inward),
        );
        foreach (Flagged::sorted($upright) as $stem) {
            $candidates[] = new Candidate(
                $stem,
                sprintf('it stands upright (%d degrees) and fills the middle of the bowl', (int) round($stem->leanDeg)),
                'out at the base',
            );
        }

        return $candidates;
    }
}
