<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/**
 * The other pass of a plant pruned twice a year. Where that pass was missed, this one takes `factor` times as long
 * and opens with an extra step.
 */
final readonly class PairedTask
{
    public function __construct(
        public string $task,
        /** true where the other pass belongs to the season before: a winter pass follows last year's summer one */
        public bool $seasonBefore,
        public float $factor,
        public string $step,
        public string $source,
    ) {
    }
}
