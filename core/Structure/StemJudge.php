<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

use Closure;
use PruningHook\Core\Structure\Rules\Damaged;
use PruningHook\Core\Structure\Rules\Dead;
use PruningHook\Core\Structure\Rules\Diseased;
use PruningHook\Core\Structure\Rules\Flagged;
use PruningHook\Core\Structure\Rules\Inward;
use PruningHook\Core\Structure\Rules\Nowhere;
use PruningHook\Core\Structure\Rules\Oldest;
use PruningHook\Core\Structure\Rules\Rubbing;
use PruningHook\Core\Structure\Rules\StemRule;
use PruningHook\Core\Structure\Rules\Suckers;
use PruningHook\Core\Structure\Rules\Traced;
use PruningHook\Core\Structure\Rules\Weak;

/**
 * Judges a plant's stems as a skilled eye does: dead, diseased, damaged, suckers, one of each rubbing pair, inward,
 * going nowhere, weak, then the oldest, until the number or the budget is reached. After each cut it looks again.
 */
final readonly class StemJudge
{
    /** Why a stem stays that somebody keeps. */
    public const LED = 'the lead keeps it';

    /** @var list<StemRule> in the order of work */
    private array $rules;

    /** The place of the first rule that looks again after a later one's cut. */
    private int $again;

    private function __construct(private Clearance $clearance)
    {
        $this->rules = [
            new Dead, new Diseased, new Damaged, new Suckers, new Traced, new Rubbing, new Inward, new Nowhere,
            new Weak, new Oldest,
        ];
        $this->again = min([
            count($this->rules),
            ...array_keys(array_filter($this->rules, static fn (StemRule $rule): bool => $rule->looksAgain())),
        ]);
    }

    public static function with(Clearance $clearance): self
    {
        return new self($clearance);
    }

    /** @param  list<string>  $also  what is to be told beside what the stems say */
    public function judge(Survey $survey, StemAim $aim, array $also = []): Judgement
    {
        $all = $this->clearance->rubs($survey->stems);
        $share = self::shares($survey, $aim);
        $gone = array_sum(array_map($share, array_filter(
            $survey->stems, static fn (Stem $stem): bool => in_array($stem->ref, $survey->cut, true),
        )));
        [$cuts, $after, $tally, $blocked] = $this->taken($survey, $aim, $all, Tally::of($survey, $aim, $gone), $share);
        $open = Openness::of($survey->standing());

        return new Judgement(
            $aim,
            $cuts,
            $this->kept($after, $aim, $blocked),
            self::among($all, $survey),
            $open,
            $cuts === [] ? $open : Openness::of($after->standing()),
            $tally->gone,
            [...$also, ...(new Telling($survey, $after, $aim, $tally->gone, $blocked))->lines()],
        );
    }

    /** @return Closure(Stem): float per cent of the sound wood that a stem is, by cross-section */
    private static function shares(Survey $survey, StemAim $aim): Closure
    {
        $section = static fn (Stem $stem): float => $aim->isCleaning($stem) ? 0.0 : $stem->section();
        $sound = array_sum(array_map($section, $survey->stems));

        return static fn (Stem $stem): float => $sound > 0 ? 100 * $section($stem) / $sound : 0.0;
    }

    /**
     * Takes one stem after another, each by the first rule that speaks, until none may be taken.
     *
     * @param  list<Rub>  $rubs  of all stems
     * @param  Closure(Stem): float  $share
     * @return array{list<StemCut>, Survey, Tally, array<string, string>} the cuts in order, what stands after them,
     *     what went, and why stems that a rule would take may not go
     */
    private function taken(
        Survey $survey,
        StemAim $aim,
        array $rubs,
        Tally $tally,
        Closure $share,
    ): array {
        $cuts = [];
        $from = 0;
        while (true) {
            [$next, $blocked] = $this->next($survey, $aim, $rubs, $tally, $share, $from);
            if ($next === null && $from === 0) {
                return [$cuts, $survey, $tally, $blocked];
            }
            if ($next === null) {
                // Once more from the first rule on: it must have nothing to say either.
                $from = 0;

                continue;
            }
            [$index, $rule, $candidate] = $next;
            // A cut makes no stem dead or crossed: the rules before it have had their say, but for those that look
            // again.
            $from = min($index, $this->again);
            $cuts[] = new StemCut(
                count($cuts) + 1, $candidate->stem, $rule, $candidate->because, $candidate->cut,
                $aim->isCleaning($candidate->stem), $share($candidate->stem),
            );
            $tally = $tally->without($candidate->stem, $aim, $share($candidate->stem));
            $survey = $survey->without($candidate->stem->ref);
        }
    }

    /**
     * @param  list<Rub>  $rubs  of all stems
     * @param  callable(Stem): float  $share
     * @param  int  $from  the first rule to ask
     * @return array{?array{int, string, Candidate}, array<string, string>} the place of the rule, its name, and what it
     *     takes; and stems that a rule would take and may not, and why
     */
    private function next(
        Survey $survey,
        StemAim $aim,
        array $rubs,
        Tally $tally,
        callable $share,
        int $from,
    ): array {
        $blocked = [];
        $standing = self::among($rubs, $survey);
        $clean = false;
        foreach (array_slice($this->rules, $from, null, true) as $index => $rule) {
            if (! $clean && ! $rule->cleans()) {
                $clean = true;
                $asked = self::leadsWord($survey, $tally);
                if ($asked !== null) {
                    return [[$index, "The lead's word", $asked], $blocked];
                }
            }
            foreach ($rule->candidates($survey, $aim, $standing) as $candidate) {
                $why = $this->refusal($survey, $aim, $candidate, $tally, $share);
                if ($why === null) {
                    return [[$index, $rule->name(), $candidate], $blocked];
                }
                if ($why !== '') {
                    $blocked[$candidate->stem->ref] ??= sprintf(
                        '%s (%s), but %s', lcfirst($rule->name()), $candidate->because, $why,
                    );
                }
                if (
                    $candidate->byAge
                    && $aim->plan->renews()
                    && $aim->plan !== StemPlan::Canes
                    && ! $survey->isKept($candidate->stem)
                ) {
                    // The oldest waits for its turn: no younger one goes in its place to save per cent.
                    break;
                }
            }
        }

        return [null, $blocked];
    }

    /** What the lead takes out. It may go over the budget, and the plant's page says so. */
    private static function leadsWord(Survey $survey, Tally $tally): ?Candidate
    {
        foreach ($survey->standing() as $stem) {
            if (($survey->word[$stem->ref] ?? null) === Survey::REMOVE && self::leavesAPlant($tally, $stem)) {
                return new Candidate($stem, 'the lead takes it out', 'out at the base');
            }
        }

        return null;
    }

    /**
     * Why a stem may not be taken; '' where that needs no telling, null where it may.
     *
     * @param  callable(Stem): float  $share
     */
    private function refusal(
        Survey $survey,
        StemAim $aim,
        Candidate $candidate,
        Tally $tally,
        callable $share,
    ): ?string {
        [$stem, $byAge] = [$candidate->stem, $candidate->byAge];
        if ($survey->isKept($stem)) {
            return self::LED;
        }
        if ($byAge && self::goesWhole($aim, $stem)) {
            return null;
        }
        if (! self::leavesAPlant($tally, $stem)) {
            return 'it is the last live stem: think of replacing the plant';
        }
        if ($aim->isCleaning($stem) || $candidate->free) {
            return null;
        }
        if ($byAge && $aim->keep !== null && $tally->sound <= $aim->keep) {
            return '';
        }
        if ($aim->keepMin !== null && $tally->sound <= $aim->keepMin) {
            return sprintf('%d must stand', $aim->keepMin);
        }
        if ($byAge && $aim->plan === StemPlan::Canes) {
            // New canes are thinned to their number, whatever they weigh.
            return null;
        }
        if ($aim->plan->goesByNumber()) {
            $why = self::byNumber($aim, $tally, $byAge);
            if ($byAge || $why !== null) {
                return $why;
            }
        }

        return self::byWeight($aim, $tally, $share($stem));
    }

    /** What the plan takes whatever else there is: all of a plant that is cut down, a cane that has fruited. */
    private static function goesWhole(StemAim $aim, Stem $stem): bool
    {
        return $aim->plan === StemPlan::Whole
            || ($aim->plan === StemPlan::Canes && $stem->ageYears !== null && $stem->ageYears >= Oldest::FRUITED);
    }

    /**
     * By number, as the prescription has it: one of three huge trunks goes, though it weighs more than a third.
     *
     * @param  bool  $byAge  it would go for nothing but its age
     */
    private static function byNumber(StemAim $aim, Tally $tally, bool $byAge): ?string
    {
        $asked = $aim->asks($tally->oldAtFirst, $tally->soundAtFirst) ?? 0;
        if ($byAge) {
            return $tally->out() < $asked ? null : '';
        }

        return $tally->out() < max($asked, intdiv($tally->soundAtFirst, 3))
            ? null
            : 'a third of the stems is the most in a year';
    }

    private static function byWeight(StemAim $aim, Tally $tally, float $share): ?string
    {
        return $tally->gone + $share <= $aim->budgetPercent + StemAim::A_HAIR
            ? null
            : sprintf('it would take more than the %d %% that may go', $aim->budgetPercent);
    }

    /** Dead wood may always go; the last live stem never does. */
    private static function leavesAPlant(Tally $tally, Stem $stem): bool
    {
        return $tally->live > 1 || $stem->has(StemFault::Dead);
    }

    /**
     * @param  array<string, string>  $blocked
     * @return list<Kept>
     */
    private function kept(Survey $after, StemAim $aim, array $blocked): array
    {
        $standing = $after->standing();
        $old = Flagged::sorted(
            array_filter($standing, static fn (Stem $stem): bool => ! $aim->isYoung($stem) && $stem->ageYears !== null),
        );
        usort(
            $old,
            static fn (Stem $a, Stem $b): int => [isset($blocked[$b->ref]), $b->ageYears, $a->ref] <=> [
                isset($blocked[$a->ref]), $a->ageYears, $b->ref,
            ],
        );
        $next = match ($aim->plan) {
            StemPlan::Thirds, StemPlan::AtOnce => max(1, intdiv(count($standing), 3)),
            StemPlan::Bowl, StemPlan::Mains => 1,
            default => 0,
        };
        $replaced = $this->replacements(
            array_slice($old, 0, $next),
            array_values(array_filter($standing, $aim->isYoung(...))),
        );

        $rank = array_flip(array_keys($replaced));

        return array_map(
            static fn (Stem $stem): Kept => new Kept(
                $stem,
                ($blocked[$stem->ref] ??
                    ($after->isKept($stem) ? self::LED : self::worthKeeping($stem, $aim))).
                    self::turn($rank[$stem->ref] ?? null),
                StemRepair::of($stem),
                array_key_exists($stem->ref, $replaced),
                $replaced[$stem->ref] ?? null,
            ),
            $standing,
        );
    }

    /** Whose turn it is next year, said of the next few only. */
    private static function turn(?int $place): string
    {
        return match ($place) {
            null => '',
            0 => ': it is next year\'s first',
            1 => ': it is next year\'s second',
            2 => ': it is next year\'s third',
            default => ': its turn comes next year',
        };
    }

    private static function worthKeeping(Stem $stem, StemAim $aim): string
    {
        $age = match (true) {
            $stem->ageYears === null => 'of an age nobody knows',
            $stem->ageYears <= 1 => "this year's",
            $stem->ageYears === 2 => "last year's",
            default => sprintf('%d years old', $stem->ageYears),
        };

        return sprintf('%s, %s, %s', $age, $stem->leanDeg < 15 ? 'upright' : 'going outward', match (true) {
            $stem->has(StemFault::Sucker) && ! $aim->grafted => 'a new main on its own roots',
            $aim->isYoung($stem) => 'young wood to build on',
            default => 'nothing speaks against it yet',
        });
    }

    /**
     * For each stem that goes next year the nearest young one, each used once.
     *
     * @param  list<Stem>  $old
     * @param  list<Stem>  $young
     * @return array<string, ?string>
     */
    private function replacements(array $old, array $young): array
    {
        $replaced = [];
        foreach ($old as $stem) {
            usort(
                $young,
                static fn (Stem $a, Stem $b): int => [(int) round($stem->apart($a)), $a->ref] <=> [
                    (int) round($stem->apart($b)),
                    $b->ref,
                ],
            );
            $replaced[$stem->ref] = array_shift($young)?->ref;
        }

        return $replaced;
    }

    /**
     * @param  list<Rub>  $rubs
     * @return list<Rub> those between stems that stand
     */
    private static function among(array $rubs, Survey $survey): array
    {
        $cut = array_flip($survey->cut);

        return $cut === []
            ? $rubs
            : array_values(
                array_filter($rubs, static fn (Rub $rub): bool => ! isset($cut[$rub->a]) && ! isset($cut[$rub->b])),
            );
    }
}
