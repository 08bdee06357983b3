<?php

declare(strict_types=1);

namespace PruningHook\Core;

/** How one number came about: the formula in the trade's words, the same with this plant's figures, and the result. */
final readonly class Working
{
    public function __construct(
        public string $what,
        public string $formula,
        public string $figures,
        public string $result,
        public string $source,
    ) {
    }

    /** @return array{what: string, formula: string, figures: string, result: string, source: string} */
    public function toArray(): array
    {
        return [
            'what' => $this->what,
            'formula' => $this->formula,
            'figures' => $this->figures,
            'result' => $this->result,
            'source' => $this->source,
        ];
    }
}
