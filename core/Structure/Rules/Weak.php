<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure\Rules;

use PruningHook\Core\Structure\Candidate;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\Survey;

/** Wood seen to be weak, or thinner than a pencil and much thinner than the plant's other stems. */
final readonly class Weak implements StemRule
{
    public function name(): string
    {
        return 'Weak';
    }

    public function cleans(): bool
    {
        return false;
    }

    public function looksAgain(): bool
    {
        return true;
    }

    public function candidates(Survey $survey, StemAim $aim, array $rubs): iterable
    {
        $standing = $survey->standing();
        $sizes = array_map(static fn (Stem $stem): int => $stem->baseMm, $standing);
        sort($sizes);
        $usual = $sizes === [] ? 0 : $sizes[intdiv(count($sizes), 2)];
        $candidates = Flagged::candidates($survey, StemFault::Weak, 'it is weak', 'out at the base');
        $thin = array_filter(
            $standing,
            static fn (Stem $stem): bool => $stem->baseMm < $aim->pencilMm
                && 100 * $stem->baseMm < $aim->thinPercent * $usual
                && ! $stem->has(StemFault::Weak),
        );
        foreach (Flagged::sorted($thin) as $stem) {
            $candidates[] = new Candidate(
                $stem,
                sprintf('at %d mm it is thinner than a pencil, and the others are about %d mm', $stem->baseMm, $usual),
                'out at the base',
            );
        }

        return $candidates;
    }
}
