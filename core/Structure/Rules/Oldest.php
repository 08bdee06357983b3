<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure\Rules;

use PruningHook\Core\Structure\Candidate;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemPlan;
use PruningHook\Core\Structure\Survey;
use PruningHook\Core\Structure\Tally;

/**
 * The oldest, until the number or the budget is reached; among equally old ones the one whose leaving spreads the rest
 * best round the plant. Young stems are never taken for their age where the plan lives on them.
 */
final readonly class Oldest implements StemRule
{
    /** Up to so many equally old stems every choice among them is weighed. */
    private const FEW = 6;

    public function name(): string
    {
        return 'Oldest';
    }

    public function candidates(Survey $survey, StemAim $aim, array $rubs): array
    {
        if ($aim->plan === StemPlan::Tidy) {
            return [];
        }
        $standing = $survey->standing();
        $old = array_values(array_filter($standing, static fn (Stem $stem): bool => match ($aim->plan) {
            StemPlan::Thirds => $stem->ageYears === null || ! $aim->isYoung($stem),
            // A cane that has fruited is done; one of this year carries the next crop.
            StemPlan::Canes => $stem->ageYears !== null && $stem->ageYears >= 2,
            default => true,
        }));
        usort($old, static fn (Stem $a, Stem $b): int => ($a->ageYears ?? 0) === ($b->ageYears ?? 0) ? strcmp($a->ref, $b->ref) : ($b->ageYears ?? 0) <=> ($a->ageYears ?? 0));
        $old = self::spreading($old, $standing, self::toGo($survey, $aim));

        return array_map(static fn (Stem $stem): Candidate => Candidate::of($stem, match (true) {
            $aim->plan === StemPlan::Canes => 'it has fruited and will not again',
            $stem->ageYears === null => 'nobody knows its age; leaving, it spreads the rest best',
            default => sprintf('it is the oldest that stands, %d years, and young ones wait to replace it', $stem->ageYears),
        }, 'out at the base'), $old);
    }

    /** How many the plan still takes for their age. */
    private static function toGo(Survey $survey, StemAim $aim): int
    {
        $tally = Tally::of($survey, $aim, 0);

        return max(0, $aim->plan === StemPlan::Thirds
            ? intdiv($tally->soundAtFirst, 3) - $tally->out()
            : $tally->sound - ($aim->keep ?? $tally->sound));
    }

    /**
     * The order of leaving: the oldest first; of the age that must be split, those first without whom the rest stands
     * most evenly.
     *
     * @param  list<Stem>  $old  the oldest first
     * @param  list<Stem>  $standing
     * @return list<Stem>
     */
    private static function spreading(array $old, array $standing, int $toGo): array
    {
        $split = $old[$toGo - 1] ?? null;
        if ($split === null) {
            return $old;
        }
        $older = array_values(array_filter($old, static fn (Stem $stem): bool => ($stem->ageYears ?? 0) > ($split->ageYears ?? 0)));
        $equal = array_values(array_filter($old, static fn (Stem $stem): bool => ($stem->ageYears ?? 0) === ($split->ageYears ?? 0)));
        $going = self::best($equal, self::without($standing, $older), $toGo - count($older));

        return [...$older, ...$going, ...self::without($equal, $going), ...array_values(array_filter($old, static fn (Stem $stem): bool => ($stem->ageYears ?? 0) < ($split->ageYears ?? 0)))];
    }

    /**
     * So many of them that the others stand most evenly: the best of all choices where these are few, else one after the
     * other.
     *
     * @param  list<Stem>  $stems
     * @param  list<Stem>  $standing
     * @return list<Stem>
     */
    private static function best(array $stems, array $standing, int $toGo): array
    {
        if ($toGo >= count($stems)) {
            return $stems;
        }
        if (count($stems) <= self::FEW) {
            $best = [];
            $least = PHP_INT_MAX;
            for ($choice = 0; $choice < 1 << count($stems); $choice++) {
                if (substr_count(decbin($choice), '1') !== $toGo) {
                    continue;
                }
                $going = array_values(array_filter($stems, static fn (int $index): bool => ($choice >> $index & 1) === 1, ARRAY_FILTER_USE_KEY));
                $uneven = self::unevenness(self::without($standing, $going));
                if ($uneven < $least) {
                    [$best, $least] = [$going, $uneven];
                }
            }

            return $best;
        }
        $going = [];
        while (count($going) < $toGo) {
            $rest = self::without($standing, $going);
            $left = self::without($stems, $going);
            usort($left, static fn (Stem $a, Stem $b): int => [self::unevenness(self::without($rest, [$a])), $a->ref] <=> [self::unevenness(self::without($rest, [$b])), $b->ref]);
            $going[] = $left[0];
        }

        return $going;
    }

    /**
     * @param  list<Stem>  $stems
     * @param  list<Stem>  $without
     * @return list<Stem>
     */
    private static function without(array $stems, array $without): array
    {
        return array_values(array_filter($stems, static fn (Stem $stem): bool => ! in_array($stem, $without, true)));
    }

    /**
     * How unevenly stems stand round the plant: the sum of the squared gaps between neighbours, in whole square degrees.
     * Rounded, so that a turned plant gives the same.
     *
     * @param  list<Stem>  $stems
     */
    private static function unevenness(array $stems): int
    {
        $ways = array_map(static fn (Stem $stem): float => $stem->azimuthDeg, $stems);
        sort($ways);
        $sum = 0.0;
        foreach ($ways as $index => $way) {
            $next = $ways[$index + 1] ?? $ways[0] + 360;
            $sum += ($next - $way) ** 2;
        }

        return (int) round($sum);
    }
}
