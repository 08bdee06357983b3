<?php

declare(strict_types=1);

namespace PruningHook\Core\Exercise;

/** One thing that has to go from a plant, as the judge takes it, with all that goes with it. */
final readonly class RequiredCut
{
    /** What each sort is called, in the order they are done in. */
    public const SORTS = ['dead', 'stem', 'height', 'lateral'];

    /**
     * @param  'dead'|'stem'|'height'|'lateral'  $sort
     * @param  int  $axis  that is cut
     * @param  int  $keep  nodes of it that stay
     * @param  array<int, array{int, int}>  $nodes  that go: of each axis the first, and the one after the last
     * @param  int  $slack  nodes of the axis to either side of the cut that are as well
     */
    public function __construct(
        public string $sort,
        public int $axis,
        public int $keep,
        public array $nodes,
        public int $slack,
        public string $because,
    ) {
    }

    public function size(): int
    {
        return array_sum(array_map(static fn (array $each): int => $each[1] - $each[0], $this->nodes));
    }
}
