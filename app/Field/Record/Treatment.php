<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Support\Say;

/** One way in which plants of a kind were cut, on average over the record. */
final readonly class Treatment
{
    /**
     * @param  int  $times  logged as done
     * @param  ?int  $removed  live growth taken, in per cent; null where nobody said
     * @param  int  $blooms  seasons of which somebody noted the bloom
     * @param  ?float  $score  1 (hardly any flowers) to 5 (full)
     * @param  ?int  $floweringMm  height of the flowers
     * @param  int  $ill  seasons in which disease was seen on it at bloom
     * @param  int  $rank  seasons in which it grew rank
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
        public int $ill,
        public int $rank,
    ) {
    }

    /** "4.2 of 5, at 1.1 m, rank in 1, disease in 2 of 6 seasons" */
    public function bloomInWords(): string
    {
        $seasons = $this->blooms === 1 ? 'one season' : "$this->blooms seasons";

        return $this->blooms === 0 ? 'not noted yet' : implode(', ', array_filter([
            $this->score === null ? '' : "$this->score of 5",
            $this->floweringMm === null ? '' : 'at '.Say::length($this->floweringMm),
            $this->rank === 0 ? '' : "rank growth in $this->rank",
            $this->ill === 0 ? '' : "disease in $this->ill",
        ])).($this->rank + $this->ill > 0 ? ' of ' : ', ').$seasons;
    }
}
