<?php

declare(strict_types=1);

namespace PruningHook\Core\Schools;

/** A question on which good practitioners differ, the answers they give, and the one taken where nobody chooses. */
final readonly class SchoolQuestion
{
    /** @param  array<string, string>  $options option key to its name in words */
    public function __construct(
        public string $key,
        public string $name,
        public array $options,
        public string $default,
        public string $source,
    ) {
    }
}
