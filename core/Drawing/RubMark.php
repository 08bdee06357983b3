<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** Where two stems rub, as seen from above. */
final readonly class RubMark
{
    public function __construct(
        public Spot $at,
        public string $says,
    ) {
    }
}
