<?php

declare(strict_types=1);

namespace PruningHook\Core\Exercise;

use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\LivingPlant;

/** Cuts as they were written, made on a plant. */
final readonly class WrittenCuts
{
    /**
     * @param  list<array{string, list<Cut>}>  $steps  each as it was written, with the cuts it comes to
     * @param  LivingPlant  $left  what they leave
     * @param  list<string>  $faults  what could not be made, in words
     */
    public function __construct(public array $steps, public LivingPlant $left, public array $faults)
    {
    }

    /** @return list<Cut> */
    public function cuts(): array
    {
        return array_merge(...array_column($this->steps, 1));
    }

    public function code(): string
    {
        return implode('.', array_column($this->steps, 0));
    }

    /** @return list<int> of each cut the step it belongs to, counted from 1 */
    public function numbers(): array
    {
        $numbers = [];
        foreach ($this->steps as $index => [, $cuts]) {
            array_push($numbers, ...array_fill(0, count($cuts), $index + 1));
        }

        return $numbers;
    }
}
