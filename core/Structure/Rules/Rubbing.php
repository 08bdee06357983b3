<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure\Rules;

use PruningHook\Core\Structure\Candidate;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\Survey;

/**
 * One of each pair that rubs now or will by next season: the one that rubs most others, then the worse one. Followed
 * down to where one cut cures both the rub and the crowding.
 */
final readonly class Rubbing implements StemRule
{
    public function name(): string
    {
        return 'Rubbing';
    }

    public function cleans(): bool
    {
        return false;
    }

    public function looksAgain(): bool
    {
        return false;
    }

    /** Where the stem it was seen to rub is out, the rub is cured: of a pair one goes, even if both were marked. */
    private static function stillRubs(Stem $stem, Survey $survey): bool
    {
        $others = array_filter($survey->stems, static fn (Stem $other): bool => $other->ref !== $stem->ref);
        $marked = array_filter($others, static fn (Stem $other): bool => $other->has(StemFault::Rubbing));
        $near = array_values($marked === [] ? $others : $marked);
        usort($near, static fn (Stem $a, Stem $b): int => [$stem->apart($a), $a->ref] <=> [$stem->apart($b), $b->ref]);

        return $near === [] || $survey->stands($near[0]);
    }

    public function candidates(Survey $survey, StemAim $aim, array $rubs): iterable
    {
        $stems = [];
        $count = [];
        $says = [];
        foreach ($survey->standing() as $stem) {
            $stems[$stem->ref] = $stem;
            if ($stem->has(StemFault::Rubbing) && self::stillRubs($stem, $survey)) {
                $count[$stem->ref] = 1;
                $says[$stem->ref] = 'it was seen to rub another';
            }
        }
        foreach ($rubs as $rub) {
            foreach ([[$rub->a, $rub->b], [$rub->b, $rub->a]] as [$one, $other]) {
                $count[$one] = ($count[$one] ?? 0) + 1;
                $says[$one] ??= "with $other: ".$rub->inWords();
            }
        }
        $rubbing = array_values(array_intersect_key($stems, $count));
        usort(
            $rubbing,
            static fn (Stem $a, Stem $b): int => [-$count[$a->ref], ...Flagged::worth($a)] <=> [
                -$count[$b->ref],
                ...Flagged::worth($b),
            ],
        );

        return array_map(
            static fn (Stem $stem): Candidate => new Candidate(
                $stem,
                $says[$stem->ref].
                    ($count[$stem->ref] > 1
                        ? sprintf('; it rubs %d others', $count[$stem->ref])
                        : '; it is the worse of the two'),
                'followed down and out at the base, so that one cut cures the rub and the crowding',
            ),
            $rubbing,
        );
    }
}
