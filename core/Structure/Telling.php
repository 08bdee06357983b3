<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** What a judgement tells beside its cuts: what is left of the plant, and where number, budget and word disagree. */
final readonly class Telling
{
    /**
     * @param  Survey  $before  with what was already out
     * @param  Survey  $after  with all that goes
     * @param  float  $gone  per cent of the sound wood
     * @param  array<string, string>  $blocked  stems a rule would take and may not, and why
     */
    public function __construct(
        private Survey $before,
        private Survey $after,
        private StemAim $aim,
        private float $gone,
        private array $blocked,
    ) {
    }

    /** @return list<string> */
    public function lines(): array
    {
        $sound = count(
            array_filter($this->after->standing(), fn (Stem $stem): bool => ! $this->aim->isCleaning($stem)),
        );

        return array_values(array_filter(
            [$this->nothingLeft($sound), $this->overBudget(), $this->number($sound), $this->asked(), ...$this->words()],
            static fn (?string $line): bool => $line !== null,
        ));
    }

    private function nothingLeft(int $sound): ?string
    {
        if ($this->aim->plan === StemPlan::Whole || $sound > 0) {
            return null;
        }
        $alive = array_filter(
            $this->after->standing(),
            static fn (Stem $stem): bool => ! $stem->has(StemFault::Dead),
        );

        return $this->before->standing() === [] || $alive === []
            ? 'Nothing alive is seen: scratch the crown for green, wait until midsummer for shoots from the base, '
                .'and only then replace the plant.'
            : 'No sound stem stands: think of replacing the plant.';
    }

    /** Only somebody's word, what is out already or what is weighed can go over the budget. */
    private function overBudget(): ?string
    {
        $led = in_array(Survey::REMOVE, $this->before->word, true)
            || $this->before->cut !== []
            || $this->aim->plan->isWeighed();

        return $led && $this->gone > $this->aim->budgetPercent + StemAim::A_HAIR
            ? sprintf(
                'The lead\'s word takes %d %% of the sound wood; %d %% is the cap. Expect watershoots, fewer '
                    .'flowers and a slower plant; say why in the log.',
                (int) round($this->gone), $this->aim->budgetPercent,
            )
            : null;
    }

    private function number(int $sound): ?string
    {
        $aim = $this->aim;
        if ($aim->keep !== null && $sound < $aim->keep) {
            return sprintf(
                'Only %d sound %s; %d are wanted: keep every new one in the right place.',
                $sound, $sound === 1 ? 'stem stands' : 'stems stand', $aim->keep,
            );
        }

        return $aim->keepMax !== null && $sound > $aim->keepMax && $aim->plan !== StemPlan::Canes
            ? sprintf(
                '%d still stand where %d are wanted: the budget spreads the rest over the coming years.',
                $sound, $aim->keepMax,
            )
            : null;
    }

    /** Where as many as the prescription asks for do not go. */
    private function asked(): ?string
    {
        $tally = Tally::of($this->after, $this->aim, $this->gone);
        $asked = $this->aim->asks($tally->oldAtFirst, $tally->soundAtFirst);
        $out = $tally->out();
        if ($asked === null || $out === $asked) {
            return null;
        }

        return sprintf(
            'By number %d of %d sound ones would go; %d %s: %s.',
            $asked, $tally->soundAtFirst, $out, $out === 1 ? 'does' : 'do',
            match (true) {
                $out > $asked => 'what rubs, grows in or goes back comes out in any case, or weighs little',
                in_array(Survey::KEEP, $this->before->word, true) => 'the lead keeps the others',
                $this->aim->plan->goesByNumber() => 'none of the others is ready to go',
                default => 'they weigh more than may go in a season',
            },
        );
    }

    /** @return iterable<string> what the lead keeps although a rule would take it */
    private function words(): iterable
    {
        foreach ($this->before->word as $ref => $word) {
            if ($word === Survey::KEEP && isset($this->blocked[$ref])) {
                yield sprintf(
                    '%s stays by the lead\'s word, although: %s.',
                    $ref, str_replace(', but '.StemJudge::LED, '', $this->blocked[$ref]),
                );
            }
        }
    }
}
