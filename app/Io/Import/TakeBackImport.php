<?php

declare(strict_types=1);

namespace App\Io\Import;

use App\Ground\Models\Import;
use App\Ground\Support\LongQueue;
use App\Ground\Support\StaysReserved;
use App\Ground\Support\Trouble;
use App\Io\Csv\Tables;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Throwable;

/**
 * Takes back what a file brought, by pieces, between which others write. Where anything of it has changed since,
 * nothing is taken back.
 */
final class TakeBackImport implements ShouldQueue
{
    use Dispatchable;
    use Queueable;
    use StaysReserved;

    /** One whose worker was killed goes on where it stopped. */
    public int $tries = 3;

    public int $timeout = 600;

    public function __construct(private readonly int $import)
    {
        $this->afterCommit();
        $this->onQueue(LongQueue::NAME);
    }

    public function handle(Tables $tables, VersionsBack $versions): void
    {
        $import = Import::query()->with('user')->find($this->import);
        if ($import === null || ! $import->isGoing()) {
            return;
        }
        if ($import->user !== null) {
            Auth::setUser($import->user);
        }
        $table = $tables->takingIn($import->of);
        $back = $table instanceof TakesBack ? $table : $versions;
        $done = 0;
        $after = function (int $lines) use ($import, &$done): void {
            $import->come($done += $lines);
            $this->alive();
            usleep(WriteImport::BREATH);
        };
        try {
            $back->check($import, fn () => $this->alive());
            $back->takeBack($import, $after);
        } catch (ValidationException $refused) {
            $import->stays($refused->validator->errors()->first(), $done > 0);

            return;
        }
        DB::table('import_rows')->where('import_id', $import->id)->update(['kept' => false]);
        $import->isOut();
    }

    public function failed(Throwable $thrown): void
    {
        $import = Import::query()->find($this->import);
        if ($import?->isGoing() === true) {
            $import->stays(ucfirst(Trouble::inWords($thrown)).'.', $import->came() > 0);
        }
    }
}
