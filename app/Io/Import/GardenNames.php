<?php

declare(strict_types=1);

namespace App\Io\Import;

use App\Io\Csv\Cells;
use Illuminate\Support\Facades\DB;

/** The gardens a file names, as the book has them; one is made for each file. */
final class GardenNames
{
    /** @var ?array<string, int> */
    private ?array $ids = null;

    /** @return array<string, int> by name */
    public function all(): array
    {
        return $this->ids ??= array_map(intval(...), DB::table('gardens')->pluck('id', 'name')->all());
    }

    /** The garden a line names; what is none is told with what was probably meant. */
    public function of(Cells $cells): ?int
    {
        $name = $cells->text('garden', 120, true);
        $id = $name === null ? null : $this->all()[$name] ?? null;
        if ($name !== null && $id === null) {
            $near = Near::to($name, array_keys($this->all()));
            $cells->fault('garden', "there is no garden called \"$name\"".($near === null
                ? ': add it first, or take in the gardens\' file'
                : ". Did you mean \"$near\"?"));
        }

        return $id;
    }
}
