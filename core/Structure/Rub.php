<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** Two stems that rub, or will by next season: how much air is between their barks now and then, and how high up. */
final readonly class Rub
{
    public function __construct(
        public string $a,
        public string $b,
        /** below 0 where they press on each other */
        public int $clearanceNowMm,
        public int $clearanceNextMm,
        public int $heightMm,
        /** true where they come nearer further up */
        public bool $converging,
    ) {
    }

    public function inWords(): string
    {
        return match (true) {
            $this->clearanceNowMm <= 0 => sprintf('they touch, %d mm up', $this->heightMm),
            $this->clearanceNextMm <= 0 => sprintf(
                '%d mm apart now, %d mm up, and grown together by next season', $this->clearanceNowMm,
                $this->heightMm,
            ),
            default => sprintf(
                '%d mm apart and closing, %d mm up: they will rub within the year', $this->clearanceNowMm,
                $this->heightMm,
            ),
        };
    }

    /**
     * @return array{a: string, b: string, clearance_now_mm: int, clearance_next_mm: int, height_mm: int, says: string}
     */
    public function toArray(): array
    {
        return [
            'a' => $this->a,
            'b' => $this->b,
            'clearance_now_mm' => $this->clearanceNowMm,
            'clearance_next_mm' => $this->clearanceNextMm,
            'height_mm' => $this->heightMm,
            'says' => $this->inWords(),
        ];
    }
}
