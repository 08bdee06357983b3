<?php

declare(strict_types=1);

namespace App\Record;

/** One way in which plants of a kind were cut, on average over the record. */
final readonly class Treatment
{
    /**
     * @param  int  $times  logged as done
     * @param  ?int  $removed  live growth taken, in per cent; null where nobody said
     * @param  int  $blooms  seasons of which somebody noted the bloom
     * @param  ?float  $score  1 (hardly any flowers) to 5 (full)
     * @param  ?int  $floweringMm  height of the flowers
     */
    public function __construct(
        public string $name,
        public int $times,
        public int $plants,
        public ?int $minutes,
        public ?int $removed,
        public int $blooms,
        public ?float $score,
        public ?int $floweringMm,
    ) {
    }
}
