<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;

/**
 * Minutes for one gardener as the plant book gives them: `{base: 12, per_metre_height: 8}`; `per_square_metre` of a
 * hedge's two faces and top.
 */
final readonly class EffortRates
{
    public function __construct(
        public int $base = 0,
        public float $perMetreHeight = 0.0,
        public float $perStem = 0.0,
        public float $perMetreRun = 0.0,
        public float $perSquareMetre = 0.0,
    ) {
    }

    /** @throws Fault */
    public static function fromEntry(Entry $minutes): self
    {
        return new self(
            $minutes->int('base') ?? 0,
            (float) $minutes->number('per_metre_height', 0),
            (float) $minutes->number('per_stem', 0),
            (float) $minutes->number('per_metre_run', 0),
            (float) $minutes->number('per_square_metre', 0),
        );
    }
}
