<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** One stem that stays, why, what is done to it all the same, and whether its turn comes next year. */
final readonly class Kept
{
    public function __construct(
        public Stem $stem,
        public string $because,
        /** a smaller cut on it, or null */
        public ?string $treat,
        public bool $goesNextYear,
        /** the stem that is kept to take its place next year, where one is found */
        public ?string $replacedBy,
    ) {
    }

    /** @return array{ref: string, because: string, treat: ?string, goes_next_year: bool, replaced_by: ?string} */
    public function toArray(): array
    {
        return [
            'ref' => $this->stem->ref,
            'because' => $this->because,
            'treat' => $this->treat,
            'goes_next_year' => $this->goesNextYear,
            'replaced_by' => $this->replacedBy,
        ];
    }
}
