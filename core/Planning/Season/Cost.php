<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/** What a plan costs by part, in minutes by the published `Price`. */
final readonly class Cost
{
    public function __construct(
        public int $travel = 0,
        public int $setUp = 0,
        public float $outsideBest = 0.0,
        public float $overtime = 0.0,
        public float $leftOut = 0.0,
        public float $unasked = 0.0,
    ) {
    }

    public function total(): float
    {
        return $this->travel + $this->setUp + $this->outsideBest + $this->unasked + $this->overtime + $this->leftOut;
    }

    /**
     * @return array{travel: int, setup: int, outside_best: float|int, unasked: float|int, overtime: float|int,
     *     unplaced: float|int, total: float|int}
     */
    public function toArray(): array
    {
        return [
            'travel' => $this->travel,
            'setup' => $this->setUp,
            'outside_best' => self::short($this->outsideBest),
            'unasked' => self::short($this->unasked),
            'overtime' => self::short($this->overtime),
            'unplaced' => self::short($this->leftOut),
            'total' => self::short($this->total()),
        ];
    }

    private static function short(float $minutes): float|int
    {
        $rounded = round($minutes, 3);

        return $rounded === floor($rounded) ? (int) $rounded : $rounded;
    }
}
