<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure\Rules;

use PruningHook\Core\Structure\Candidate;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\Survey;

/** Stems that somebody has marked with a fault. */
final readonly class Flagged
{
    /** @return list<Candidate> */
    public static function candidates(
        Survey $survey,
        StemFault $fault,
        string $because,
        string $cut,
        bool $free = false,
    ): array {
        return array_map(
            static fn (Stem $stem): Candidate => new Candidate($stem, $because, $cut, free: $free),
            self::sorted($survey->standingWith($fault)),
        );
    }

    /**
     * The worse first: more faults, then older, then thinner; names decide between equals, so that a turned or mirrored
     * plant is judged the same.
     *
     * @param  array<int, Stem>  $stems
     * @return list<Stem>
     */
    public static function sorted(array $stems): array
    {
        usort($stems, static fn (Stem $a, Stem $b): int => self::worth($a) <=> self::worth($b));

        return $stems;
    }

    /** @return array{int, int, int, string} lower is worse */
    public static function worth(Stem $stem): array
    {
        return [-count($stem->faults), -($stem->ageYears ?? 0), $stem->baseMm, $stem->ref];
    }
}
