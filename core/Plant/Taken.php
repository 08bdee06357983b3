<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

/** What one line of the record says came off: stems at the base, and the height the plant was left at. */
final readonly class Taken
{
    /**
     * @param  int  $old  old stems
     * @param  int  $any  stems of any age, old ones before young
     * @param  int  $young  stems of this year and the last, told apart from the others
     * @param  ?int  $heightMm  it was cut to; null where it was not shortened
     */
    public function __construct(
        public int $old = 0,
        public int $any = 0,
        public ?int $heightMm = null,
        public int $young = 0,
    ) {
    }

    /** With what came off later in the same season. */
    public function then(self $later): self
    {
        return new self(
            $this->old + $later->old,
            $this->any + $later->any,
            $later->heightMm ?? $this->heightMm,
            $this->young + $later->young,
        );
    }

    public function stems(): int
    {
        return $this->old + $this->any + $this->young;
    }
}
