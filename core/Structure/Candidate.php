<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** A stem a rule would take out, why, and where the cut goes. */
final readonly class Candidate
{
    /**
     * @param  bool  $byAge  it would go for nothing but its age, within the number the prescription asks for
     * @param  bool  $free  it goes whatever number and budget say
     */
    public function __construct(
        public Stem $stem,
        public string $because,
        public string $cut,
        public bool $byAge = false,
        public bool $free = false,
    ) {
    }
}
