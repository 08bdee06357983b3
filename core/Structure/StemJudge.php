<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

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
        $sound = array_sum(
            array_map(
                static fn (Stem $stem): float => $aim->isCleaning($stem) ? 0.0 : $stem->section(),
                $survey->stems,
            ),
        );
        $share = static fn (Stem $stem): float => $sound > 0 && ! $aim->isCleaning($stem)
            ? 100 * $stem->section() / $sound
            : 0.0;
        $gone = array_sum(
            array_map(
                $share,
                array_filter($survey->stems, static fn (Stem $stem): bool => in_array($stem->ref, $survey->cut, true)),
            ),
        );
        $after = $survey;
        $cuts = [];
        $blocked = [];
        $from = 0;
        while (true) {
            $next = $this->next($after, $aim, $all, $gone, $share, $blocked, $from);
            if ($next === null && $from === 0) {
                break;
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
            $free = $aim->isCleaning($candidate->stem);
            $cuts[] = new Cut(
                count($cuts) + 1, $candidate->stem, $rule, $candidate->because, $candidate->cut, $free,
                $share($candidate->stem),
            );
            $gone += $share($candidate->stem);
            $after = $after->without($candidate->stem->ref);
        }

        return new Judgement(
            $aim,
            $cuts,
            $this->kept($after, $aim, $blocked),
            self::among($all, $survey),
            Openness::of($survey->standing()),
            Openness::of($after->standing()),
            $gone,
            [...$also, ...$this->told($survey, $after, $aim, $gone, $blocked)],
        );
    }

    /**
     * @param  list<Rub>  $rubs  of all stems
     * @param  callable(Stem): float  $share
     * @param  array<string, string>  $blocked  written to: stems a rule would take and may not, and why
     * @param  int  $from  the first rule to ask
     * @return ?array{int, string, Candidate} the place of the rule, its name, and what it takes
     */
    private function next(
        Survey $survey,
        StemAim $aim,
        array $rubs,
        float $gone,
        callable $share,
        array &$blocked,
        int $from,
    ): ?array {
        $blocked = [];
        $standing = self::among($rubs, $survey);
        $tally = Tally::of($survey, $aim, $gone);
        $clean = false;
        foreach (array_slice($this->rules, $from, null, true) as $index => $rule) {
            if (! $clean && ! $rule->cleans()) {
                $clean = true;
                // It may go over the budget, and is told where it does.
                foreach ($survey->standing() as $stem) {
                    if (($survey->word[$stem->ref] ?? null) === Survey::REMOVE && self::leavesAPlant($tally, $stem)) {
                        return [
                            $index, "The lead's word",
                            new Candidate($stem, 'the lead takes it out', 'out at the base'),
                        ];
                    }
                }
            }
            foreach ($rule->candidates($survey, $aim, $standing) as $candidate) {
                $why = $this->refusal($survey, $aim, $candidate->stem, $rule, $tally, $share);
                if ($why === null) {
                    return [$index, $rule->name(), $candidate];
                }
                if ($why !== '') {
                    $blocked[$candidate->stem->ref] ??= sprintf(
                        '%s (%s), but %s', lcfirst($rule->name()), $candidate->because, $why,
                    );
                }
                if (
                    $rule instanceof Oldest
                    && $aim->plan->renews()
                    && $aim->plan !== StemPlan::Canes
                    && ! $survey->isKept($candidate->stem)
                ) {
                    // The oldest waits for its turn: no younger one goes in its place to save per cent.
                    break;
                }
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
        Stem $stem,
        StemRule $rule,
        Tally $tally,
        callable $share,
    ): ?string {
        if ($survey->isKept($stem)) {
            return 'the lead keeps it';
        }
        $fruited = $aim->plan === StemPlan::Canes && $stem->ageYears !== null && $stem->ageYears >= 2;
        if ($rule instanceof Oldest && ($aim->plan === StemPlan::Whole || $fruited)) {
            return null;
        }
        if (! self::leavesAPlant($tally, $stem)) {
            return 'it is the last live stem: think of replacing the plant';
        }
        if ($aim->isCleaning($stem) || ($rule instanceof Traced && $stem->has(StemFault::Reverted))) {
            return null;
        }
        if ($rule instanceof Oldest && $aim->keep !== null && $tally->sound <= $aim->keep) {
            return '';
        }
        if ($aim->keepMin !== null && $tally->sound <= $aim->keepMin) {
            return sprintf('%d must stand', $aim->keepMin);
        }
        if ($aim->plan === StemPlan::Canes && $rule instanceof Oldest) {
            // New canes are thinned to their number, whatever they weigh.
            return null;
        }
        if ($aim->plan->goesByNumber()) {
            $asked = $aim->asks($tally->oldAtFirst, $tally->soundAtFirst) ?? 0;
            if ($rule instanceof Oldest) {
                // By number, as the prescription has it: one of three huge trunks goes, though it weighs more than a
                // third.
                return $tally->out() < $asked ? null : '';
            }
            if ($tally->out() >= max($asked, intdiv($tally->soundAtFirst, 3))) {
                return 'a third of the stems is the most in a year';
            }
        }

        return $tally->gone + $share($stem) <= $aim->budgetPercent + StemAim::A_HAIR
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
                    ($after->isKept($stem) ? 'the lead keeps it' : self::worthKeeping($stem, $aim))).
                    self::turn($rank[$stem->ref] ?? null),
                Treatment::of($stem),
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
     * @param  array<string, string>  $blocked
     * @return list<string>
     */
    private function told(Survey $survey, Survey $after, StemAim $aim, float $gone, array $blocked): array
    {
        $told = [];
        $standing = $after->standing();
        if (
            $aim->plan !== StemPlan::Whole
            && ($survey->standing() === []
                || array_filter($standing, static fn (Stem $stem): bool => ! $stem->has(StemFault::Dead)) === [])
        ) {
            $told[] =
                'Nothing alive is seen: scratch the crown for green, wait until midsummer for shoots from the base, '
                    .'and only then replace the plant.';
        } elseif (
            $aim->plan !== StemPlan::Whole
            && array_filter($standing, static fn (Stem $stem): bool => ! $aim->isCleaning($stem)) === []
        ) {
            $told[] = 'No sound stem stands: think of replacing the plant.';
        }
        if ($gone > $aim->budgetPercent + StemAim::A_HAIR && self::ledOver($survey, $aim)) {
            $told[] = sprintf(
                'The lead\'s word takes %d %% of the sound wood; %d %% is the cap. Expect watershoots, fewer '
                    .'flowers and a slower plant; say why in the log.',
                (int) round($gone), $aim->budgetPercent,
            );
        }
        $sound = count(array_filter($standing, static fn (Stem $stem): bool => ! $aim->isCleaning($stem)));
        if ($aim->keep !== null && $sound < $aim->keep) {
            $told[] = sprintf(
                'Only %d sound %s; %d are wanted: keep every new one in the right place.', $sound,
                $sound === 1 ? 'stem stands' : 'stems stand', $aim->keep,
            );
        } elseif ($aim->keepMax !== null && $sound > $aim->keepMax && $aim->plan !== StemPlan::Canes) {
            $told[] = sprintf(
                '%d still stand where %d are wanted: the budget spreads the rest over the coming years.', $sound,
                $aim->keepMax,
            );
        }
        $tally = Tally::of($after, $aim, $gone);
        $asked = $aim->asks($tally->oldAtFirst, $tally->soundAtFirst);
        if ($asked !== null && $tally->out() !== $asked) {
            $told[] = sprintf(
                'By number %d of %d sound ones would go; %d %s: %s.', $asked, $tally->soundAtFirst, $tally->out(),
                $tally->out() === 1 ? 'does' : 'do',
                match (true) {
                    $tally->out() > $asked => 'what rubs, grows in or goes back comes out in any case, or weighs '
                        .'little',
                    in_array(Survey::KEEP, $survey->word, true) => 'the lead keeps the others',
                    $aim->plan->goesByNumber() => 'none of the others is ready to go',
                    default => 'they weigh more than may go in a season',
                },
            );
        }
        foreach ($survey->word as $ref => $word) {
            if ($word === Survey::KEEP && isset($blocked[$ref])) {
                $told[] = sprintf(
                    '%s stays by the lead\'s word, although: %s.', $ref,
                    str_replace(', but the lead keeps it', '', $blocked[$ref]),
                );
            }
        }

        return $told;
    }

    /** True where somebody's word, and not the plan, takes more than may go. */
    private static function ledOver(Survey $survey, StemAim $aim): bool
    {
        return in_array(Survey::REMOVE, $survey->word, true) || $survey->cut !== [] || $aim->plan->isWeighed();
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
