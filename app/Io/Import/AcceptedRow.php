<?php

declare(strict_types=1);

namespace App\Io\Import;

use stdClass;

/** A line of a file that somebody accepted, as `TakenRow` told it. */
final readonly class AcceptedRow
{
    /**
     * @param  ?int  $id  of the row it changes; null where it makes one
     * @param  array<string, mixed>  $facts
     */
    private function __construct(public ?int $id, public array $facts)
    {
    }

    public static function of(stdClass $row): self
    {
        return new self(
            $row->row_id === null ? null : (int) $row->row_id,
            (array) json_decode((string) $row->facts, true, flags: JSON_THROW_ON_ERROR),
        );
    }
}
