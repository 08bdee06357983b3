<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** One stem to come out: its place in the order, the rule that spoke, and where the blade goes. */
final readonly class StemCut
{
    public function __construct(
        public int $order,
        public Stem $stem,
        public string $rule,
        public string $because,
        public string $where,
        /** true where it is cleaning and does not count */
        public bool $free,
        /** of the sound wood, by cross-section; 0 where it is free */
        public float $sharePercent,
    ) {
    }

    /**
     * @return array{order: int, ref: string, rule: string, because: string, cut: string, free: bool,
     *     share_percent: float}
     */
    public function toArray(): array
    {
        return [
            'order' => $this->order,
            'ref' => $this->stem->ref,
            'rule' => $this->rule,
            'because' => $this->because,
            'cut' => $this->where,
            'free' => $this->free,
            'share_percent' => round($this->sharePercent, 1),
        ];
    }
}
