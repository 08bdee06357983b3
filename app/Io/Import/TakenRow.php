<?php

declare(strict_types=1);

namespace App\Io\Import;

/** One line of a file as it was understood. */
final readonly class TakenRow
{
    /**
     * @param  ?int  $id  of the row it changes
     * @param  array<string, mixed>  $facts  as the columns keep them
     * @param  list<string>  $says  what is wrong, or what changes
     */
    public function __construct(
        public RowSort $sort,
        public string $label,
        public ?int $id,
        public array $facts,
        public array $says,
    ) {
    }
}
