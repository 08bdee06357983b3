<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure\Rules;

use PruningHook\Core\Structure\Candidate;
use PruningHook\Core\Structure\Spread;
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

    /** A cane of two summers has borne its crop. */
    public const FRUITED = 2;

    public function name(): string
    {
        return 'Oldest';
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
        return match ($aim->plan) {
            StemPlan::Tidy => [],
            StemPlan::Whole => array_map(
                static fn (Stem $stem): Candidate => new Candidate(
                    $stem, 'all of it is cut down, and comes again',
                    'to the low framework, or to the ground where it has none', byAge: true,
                ),
                $survey->standing(),
            ),
            StemPlan::Canes => self::canes($survey, $aim),
            default => self::oldestFirst($survey, $aim),
        };
    }

    /**
     * Mostly only the first is taken: what is said of the others need not be put into words.
     *
     * @return iterable<Candidate>
     */
    private static function oldestFirst(Survey $survey, StemAim $aim): iterable
    {
        $standing = $survey->standing();
        $young = array_filter($standing, $aim->isYoung(...)) !== [];
        $thirds = $aim->plan === StemPlan::Thirds;
        $old = $thirds || $aim->plan === StemPlan::AtOnce
            ? array_values(array_filter($standing, static fn (Stem $stem): bool => ! $aim->isYoung($stem)))
            : $standing;
        $old = self::inTurn($old, $survey, $aim);
        $oldest = max([0, ...array_map(static fn (Stem $stem): int => $stem->ageYears ?? 0, $old)]);
        foreach ($old as $stem) {
            if ($thirds && $stem->ageYears !== null && 2 * $stem->ageYears < $oldest) {
                // Where the oldest are more than may go, the budget waits for them: it is not spent on middling wood.
                return;
            }
            $because = match ($stem->ageYears) {
                null => 'nobody knows its age; leaving, it spreads the rest best',
                $oldest => sprintf(
                    'it is the oldest that stands, %d years%s',
                    $oldest, $young ? ', and young ones wait to replace it' : '',
                ),
                default => sprintf(
                    'at %d years it is among the oldest, and the older ones are kept or more than may go',
                    $stem->ageYears,
                ),
            };
            yield new Candidate($stem, $because, 'out at the base', byAge: true);
        }
    }

    /**
     * A cane that has fruited is done; one of this year carries the next crop. Once those that fruited are gone, the
     * new ones are thinned to their number, the thinnest first.
     *
     * @return iterable<Candidate>
     */
    private static function canes(Survey $survey, StemAim $aim): iterable
    {
        $fruited = [];
        $new = [];
        foreach ($survey->standing() as $stem) {
            if ($stem->ageYears !== null && $stem->ageYears >= self::FRUITED) {
                $fruited[] = $stem;
            } else {
                $new[] = $stem;
            }
        }
        foreach (self::inTurn($fruited, $survey, $aim) as $stem) {
            yield new Candidate(
                $stem, 'it has fruited and will not again', 'out at the base', byAge: true,
            );
        }
        if ($aim->keep === null) {
            return;
        }
        usort($new, static fn (Stem $a, Stem $b): int => [$a->baseMm, $a->ref] <=> [$b->baseMm, $b->ref]);
        $because = sprintf('of the new canes it is the thinnest, and %d are enough', $aim->keep);
        foreach ($new as $stem) {
            yield new Candidate($stem, $because, 'out at the base', byAge: true);
        }
    }

    /**
     * The oldest first, and of equally old ones those whose leaving spreads the rest best.
     *
     * @param  list<Stem>  $old
     * @return list<Stem>
     */
    private static function inTurn(array $old, Survey $survey, StemAim $aim): array
    {
        usort(
            $old,
            static fn (Stem $a, Stem $b): int => [$b->ageYears ?? 0, $a->ref] <=> [$a->ageYears ?? 0, $b->ref],
        );

        return self::spreading($old, $survey->standing(), self::toGo($survey, $aim));
    }

    /** How many the plan still takes for their age. */
    private static function toGo(Survey $survey, StemAim $aim): int
    {
        $tally = Tally::of($survey, $aim, 0);

        return max(0, $aim->plan->goesByNumber()
            ? ($aim->asks($tally->oldAtFirst, $tally->soundAtFirst) ?? 0) - $tally->out()
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
        $older = array_values(
            array_filter($old, static fn (Stem $stem): bool => ($stem->ageYears ?? 0) > ($split->ageYears ?? 0)),
        );
        $equal = array_values(
            array_filter($old, static fn (Stem $stem): bool => ($stem->ageYears ?? 0) === ($split->ageYears ?? 0)),
        );
        $going = self::best($equal, self::without($standing, $older), $toGo - count($older));

        return [
            ...$older,
            ...$going,
            ...self::without($equal, $going),
            ...array_values(
                array_filter($old, static fn (Stem $stem): bool => ($stem->ageYears ?? 0) < ($split->ageYears ?? 0)),
            ),
        ];
    }

    /**
     * So many of them that the others stand most evenly: the best of all choices where these are few, else one after
     * the other.
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
        $spread = Spread::of($standing);
        $choices = count($stems) <= self::FEW ? self::choices(count($stems), $toGo) : null;

        return $choices === null ? self::oneByOne($stems, $spread, $toGo) : self::bestOf($choices, $stems, $spread);
    }

    /**
     * @param  list<list<int>>  $choices  each the places of stems that would go
     * @param  list<Stem>  $stems
     * @return list<Stem>
     */
    private static function bestOf(array $choices, array $stems, Spread $spread): array
    {
        $best = [];
        $least = PHP_INT_MAX;
        foreach ($choices as $choice) {
            $without = [];
            foreach ($choice as $index) {
                $without[$stems[$index]->ref] = true;
            }
            $uneven = $spread->unevenness($without);
            if ($uneven < $least) {
                [$best, $least] = [$choice, $uneven];
            }
        }

        return array_map(static fn (int $index): Stem => $stems[$index], $best);
    }

    /**
     * @param  list<Stem>  $stems
     * @return list<Stem>
     */
    private static function oneByOne(array $stems, Spread $spread, int $toGo): array
    {
        $going = [];
        $without = [];
        while (count($going) < $toGo) {
            $next = null;
            $least = PHP_INT_MAX;
            foreach ($stems as $stem) {
                $uneven = isset($without[$stem->ref])
                    ? PHP_INT_MAX
                    : $spread->unevenness($without + [$stem->ref => true]);
                if ($uneven < $least) {
                    [$next, $least] = [$stem, $uneven];
                }
            }
            if ($next === null) {
                break;
            }
            $going[] = $next;
            $without[$next->ref] = true;
        }

        return $going;
    }

    /**
     * Every choice of so many out of so many, as places.
     *
     * @return list<list<int>>
     */
    private static function choices(int $of, int $take): array
    {
        if ($take === 0) {
            return [[]];
        }
        $choices = [];
        // The last place taken, and every choice of the others below it.
        for ($last = $take - 1; $last < $of; $last++) {
            foreach (self::choices($last, $take - 1) as $others) {
                $choices[] = [...$others, $last];
            }
        }

        return $choices;
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
}
