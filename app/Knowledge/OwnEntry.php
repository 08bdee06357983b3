<?php

declare(strict_types=1);

namespace App\Knowledge;

/** What a firm says of a kind, in the plant book's own form: laid over the book's entry, or over the one it is like. */
final readonly class OwnEntry
{
    /** @param  array<array-key, mixed>  $entry only what differs */
    public function __construct(
        public string $kind,
        public ?string $like,
        public array $entry,
    ) {
    }
}
