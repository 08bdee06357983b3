<?php

declare(strict_types=1);

namespace App\Formats;

use App\History\Undo;
use App\Models\Change;
use App\Models\Import;
use App\Support\LongQueue;
use App\Support\StaysReserved;
use App\Support\Trouble;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Throwable;

/**
 * Takes back what a file brought, version by version, the last first: all of it, or where anything has changed since
 * nothing.
 */
final class TakeBackImport implements ShouldQueue
{
    use Dispatchable;
    use Queueable;
    use StaysReserved;

    /** One whose worker was killed begins again: it has kept nothing. */
    public int $tries = 3;

    public int $timeout = 600;

    private const AT_ONCE = 200;

    public function __construct(private readonly int $import)
    {
        $this->afterCommit();
        $this->onQueue(LongQueue::NAME);
    }

    public function handle(Undo $undo, Tables $tables): void
    {
        $import = Import::query()->with('user')->find($this->import);
        if ($import === null || $import->status !== Import::TAKING_BACK) {
            return;
        }
        if ($import->user !== null) {
            Auth::setUser($import->user);
        }
        try {
            DB::connection()->transaction(static function () use ($import, $undo, $tables): void {
                $table = $tables->takingIn($import->of);
                $table instanceof TakesBack ? $table->takeBack($import) : self::undo($import, $undo);
                $import->update(['status' => Import::TAKEN_BACK, 'says' => null]);
            });
        } catch (ValidationException $refused) {
            $this->keep($import, $refused->getMessage());
        }
    }

    private static function undo(Import $import, Undo $undo): void
    {
        $done = 0;
        $changes = Change::query();
        $changes->whereBetween('id', [$import->first_change, $import->last_change])->whereNull('undone_by');
        $changes->chunkByIdDesc(self::AT_ONCE, static function ($chunk) use ($import, $undo, &$done): void {
            $chunk->each(static fn (Change $change) => $undo->undo($change));
            $import->come($done += count($chunk));
        });
    }

    public function failed(Throwable $thrown): void
    {
        $import = Import::query()->find($this->import);
        if ($import !== null) {
            $this->keep($import, ucfirst(Trouble::inWords($thrown)).'.');
        }
    }

    private function keep(Import $import, string $because): void
    {
        $import->update(['status' => Import::DONE, 'says' => "It was not taken back: $because Nothing was changed."]);
    }
}
