<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** What stays and what goes, in the order of the cuts, and what the plant is like before and after. */
final readonly class Judgement
{
    /**
     * @param  list<Cut>  $cuts  in order
     * @param  list<Kept>  $kept
     * @param  list<Rub>  $rubs  as the plant stands now
     * @param  list<string>  $told  what the lead should know before the first cut
     */
    private function __construct(
        public StemAim $aim,
        public array $cuts,
        public array $kept,
        public array $rubs,
        public int $opennessBefore,
        public int $opennessAfter,
        /** of the sound wood, by cross-section, cuts already made included */
        public float $sharePercent,
        public array $told,
    ) {
    }

    /**
     * @param  list<Cut>  $cuts
     * @param  list<Kept>  $kept
     * @param  list<Rub>  $rubs
     * @param  list<string>  $told
     */
    public static function of(StemAim $aim, array $cuts, array $kept, array $rubs, int $opennessBefore, int $opennessAfter, float $sharePercent, array $told): self
    {
        return new self($aim, $cuts, $kept, $rubs, $opennessBefore, $opennessAfter, $sharePercent, $told);
    }

    public function cut(string $ref): ?Cut
    {
        foreach ($this->cuts as $cut) {
            if ($cut->stem->ref === $ref) {
                return $cut;
            }
        }

        return null;
    }

    /** @return array<string, mixed> the shape of docs/formats/judgement.schema.json */
    public function toArray(): array
    {
        return [
            'plan' => $this->aim->plan->value,
            'school' => $this->aim->school,
            'budget_percent' => $this->aim->budgetPercent,
            'remove' => array_map(static fn (Cut $cut): array => $cut->toArray(), $this->cuts),
            'keep' => array_map(static fn (Kept $kept): array => $kept->toArray(), $this->kept),
            'share_removed_percent' => round($this->sharePercent, 1),
            'rubs' => array_map(static fn (Rub $rub): array => $rub->toArray(), $this->rubs),
            'openness_before_percent' => $this->opennessBefore,
            'openness_after_percent' => $this->opennessAfter,
            'told' => $this->told,
        ];
    }
}
