<?php

declare(strict_types=1);

namespace PruningHook\Core\Exercise;

use PruningHook\Core\Growth\Cut;

/** An answer as it was judged. */
final readonly class JudgedAnswer
{
    /**
     * @param  int  $score  of 100
     * @param  int  $foundPercent  of what had to go
     * @param  int  $keptPercent  of the good wood
     * @param  int  $takenPercent  of the live wood that went
     * @param  list<Remark>  $remarks  the gravest first
     * @param  list<Cut>  $judges  what the judge would have cut, as near to the answer as is right
     */
    public function __construct(
        public int $score,
        public bool $isWell,
        public int $foundPercent,
        public int $keptPercent,
        public int $takenPercent,
        public array $remarks,
        public array $judges,
    ) {
    }
}
