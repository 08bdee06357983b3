<?php

declare(strict_types=1);

namespace App\Io\Import;

use App\Ground\History\Undo;
use App\Ground\Models\Change;
use App\Ground\Models\Import;
use Closure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Takes back what a file brought version by version, the last first. */
final readonly class VersionsBack implements TakesBack
{
    private const AT_ONCE = 20;

    public function __construct(private Undo $undo)
    {
    }

    public function check(Import $import, Closure $between): void
    {
        self::left($import)->chunkByIdDesc(self::AT_ONCE, function (Collection $chunk) use ($between): void {
            $chunk->each($this->undo->check(...));
            $between();
        });
    }

    public function takeBack(Import $import, Closure $after): void
    {
        self::left($import)->chunkByIdDesc(self::AT_ONCE, function (Collection $chunk) use ($after): void {
            DB::transaction(fn () => $chunk->each($this->undo->undo(...)));
            $after(count($chunk));
        });
    }

    /** @return Builder<Change> */
    private static function left(Import $import): Builder
    {
        $changes = Change::query();
        $changes->where('import_id', $import->id)->whereNull('undone_by');

        return $changes;
    }
}
