<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** A stem a rule would take out, why, and where the cut goes. */
final readonly class Candidate
{
    public function __construct(
        public Stem $stem,
        public string $because,
        public string $cut,
    ) {
    }
}
