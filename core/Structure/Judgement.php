<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/**
 * What stays and what goes, in the order of the cuts, and what the plant is like before and after.
 *
 * @phpstan-type Recalled array{plan: string, school: string, budget_percent: int,
 *     remove: list<array{order: int, ref: string, rule: string, because: string, cut: string, free: bool,
 *         share_percent: int|float}>,
 *     keep: list<array{ref: string, because: string, treat: ?string, goes_next_year: bool, replaced_by: ?string}>,
 *     rubs: list<array{a: string, b: string, clearance_now_mm: int, clearance_next_mm: int, height_mm: int,
 *         says: string}>,
 *     openness_before_percent: int, openness_after_percent: int, share_removed_percent: int|float, told: list<string>}
 */
final readonly class Judgement
{
    /**
     * @param  list<StemCut>  $cuts  in order
     * @param  list<Kept>  $kept
     * @param  list<Rub>  $rubs  as the plant stands now
     * @param  list<string>  $told  what the lead should know before the first cut
     */
    public function __construct(
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
     * A judgement as `toArray` wrote it, of the stems it was made of: what was said stays said, whatever the rules say
     * since.
     *
     * @param  array<string, Stem>  $stems  by ref
     * @param  Recalled  $written
     */
    public static function recalled(StemAim $aim, array $stems, array $written): self
    {
        $cuts = $kept = [];
        foreach ($written['remove'] as $cut) {
            if (isset($stems[$cut['ref']])) {
                $cuts[] = new StemCut(
                    $cut['order'], $stems[$cut['ref']], $cut['rule'], $cut['because'], $cut['cut'], $cut['free'],
                    (float) $cut['share_percent'],
                );
            }
        }
        foreach ($written['keep'] as $each) {
            if (isset($stems[$each['ref']])) {
                $kept[] = new Kept(
                    $stems[$each['ref']], $each['because'], $each['treat'], $each['goes_next_year'],
                    $each['replaced_by'],
                );
            }
        }

        return new self(
            $aim,
            $cuts,
            $kept,
            array_map(
                static fn (array $rub): Rub => new Rub(
                    $rub['a'], $rub['b'], $rub['clearance_now_mm'], $rub['clearance_next_mm'], $rub['height_mm'],
                    $rub['clearance_next_mm'] < $rub['clearance_now_mm'],
                ),
                $written['rubs'],
            ),
            $written['openness_before_percent'],
            $written['openness_after_percent'],
            (float) $written['share_removed_percent'],
            $written['told'],
        );
    }

    public function cut(string $ref): ?StemCut
    {
        foreach ($this->cuts as $cut) {
            if ($cut->stem->ref === $ref) {
                return $cut;
            }
        }

        return null;
    }

    /** @return Recalled the shape of docs/formats/judgement.schema.json */
    public function toArray(): array
    {
        return [
            'plan' => $this->aim->plan->value,
            'school' => $this->aim->school,
            'budget_percent' => $this->aim->budgetPercent,
            'remove' => array_map(static fn (StemCut $cut): array => $cut->toArray(), $this->cuts),
            'keep' => array_map(static fn (Kept $kept): array => $kept->toArray(), $this->kept),
            'share_removed_percent' => round($this->sharePercent, 1),
            'rubs' => array_map(static fn (Rub $rub): array => $rub->toArray(), $this->rubs),
            'openness_before_percent' => $this->opennessBefore,
            'openness_after_percent' => $this->opennessAfter,
            'told' => $this->told,
        ];
    }
}
