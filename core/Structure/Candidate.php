<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** A stem a rule would take out, why, and where the cut goes. */
final readonly class Candidate
{
    private function __construct(
        public Stem $stem,
        public string $because,
        public string $cut,
    ) {
    }

    public static function of(Stem $stem, string $because, string $cut): self
    {
        return new self($stem, $because, $cut);
    }
}
