<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

use PruningHook\Core\Amount\Thirds;
use PruningHook\Core\Fault;

/** The aim a plant's stems are judged by: the plan, how many are to stand, and how much may go. */
final readonly class StemAim
{
    /** A third is no whole number of per cent: so much over the budget is not over. */
    public const A_HAIR = 0.5;

    /** @throws Fault when the numbers contradict each other */
    public function __construct(
        public StemPlan $plan,
        /** fewest, wanted and most stems to stand; null where the plan has no number */
        public ?int $keepMin,
        public ?int $keep,
        public ?int $keepMax,
        /** live wood that may go this season, in per cent of the sound wood's cross-section */
        public int $budgetPercent,
        public string $source,
        public bool $grafted,
        /** stems up to this age are young: they replace and are never taken for their age */
        public int $youngYears,
        /** thinner than this is weak, in mm */
        public int $pencilMm,
        public string $school,
        /** leaning less than this, in degrees, a stem stands in the middle of a bowl */
        public int $uprightDeg,
        /** thinner than this share of the usual stem, in per cent, is weak */
        public int $thinPercent,
    ) {
        if ($keep !== null && $keep < 1) {
            throw new Fault('at least one stem must be kept, or there is no plant');
        }
        if ($budgetPercent < 0 || $budgetPercent > 100) {
            throw new Fault(sprintf('a budget lies between 0 and 100 per cent, not at %d', $budgetPercent));
        }
    }

    /**
     * @return array{plan: string, keep_min: ?int, keep: ?int, keep_max: ?int, budget: int, source: string,
     *     grafted: bool, young: int, pencil: int, school: string, upright: int, thin: int}
     */
    public function toArray(): array
    {
        return [
            'plan' => $this->plan->value,
            'keep_min' => $this->keepMin,
            'keep' => $this->keep,
            'keep_max' => $this->keepMax,
            'budget' => $this->budgetPercent,
            'source' => $this->source,
            'grafted' => $this->grafted,
            'young' => $this->youngYears,
            'pencil' => $this->pencilMm,
            'school' => $this->school,
            'upright' => $this->uprightDeg,
            'thin' => $this->thinPercent,
        ];
    }

    /**
     * @param  array{plan: string, keep_min: ?int, keep: ?int, keep_max: ?int, budget: int, source: string,
     *     grafted: bool, young: int, pencil: int, school: string, upright?: int, thin?: int}  $kept  as `toArray` gave
     *     it; upright and thin are missing where it was kept before they were
     */
    public static function fromArray(array $kept): self
    {
        return new self(
            StemPlan::from($kept['plan']), $kept['keep_min'], $kept['keep'], $kept['keep_max'], $kept['budget'],
            $kept['source'], $kept['grafted'], $kept['young'], $kept['pencil'], $kept['school'],
            $kept['upright'] ?? 8, $kept['thin'] ?? 60,
        );
    }

    /**
     * How many stems go by number, as the prescription has it; null where the plan has no number.
     *
     * @param  int  $old  sound ones that are not young
     * @param  int  $all  sound ones
     */
    public function asks(int $old, int $all): ?int
    {
        $may = (int) floor($all * ($this->budgetPercent + self::A_HAIR) / 100);

        return match ($this->plan) {
            StemPlan::Thirds => Thirds::number($old, $may),
            StemPlan::AtOnce => min($old, $may),
            StemPlan::Canes => $old + max(0, $all - $old - ($this->keep ?? $all)),
            StemPlan::Bowl, StemPlan::Mains => $this->keep === null ? null : min($may, max(0, $all - $this->keep)),
            StemPlan::Whole => $all,
            StemPlan::Tidy => null,
        };
    }

    /** The same aim on a day on which nothing goes for its age. */
    public function tidying(): self
    {
        return new self(
            StemPlan::Tidy, null, null, null, $this->budgetPercent, $this->source, $this->grafted, $this->youngYears,
            $this->pencilMm, $this->school, $this->uprightDeg, $this->thinPercent,
        );
    }

    public function isYoung(Stem $stem): bool
    {
        return $stem->ageYears !== null && $stem->ageYears <= $this->youngYears;
    }

    /** Wood that comes off however little may go: it does not count against the budget. */
    public function isCleaning(Stem $stem): bool
    {
        return $stem->faults !== []
            && ($stem->has(StemFault::Dead) || $stem->has(StemFault::Diseased) || $stem->has(StemFault::Damaged)
                || ($this->grafted && $stem->has(StemFault::Sucker)));
    }
}
