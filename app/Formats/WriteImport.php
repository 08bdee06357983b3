<?php

declare(strict_types=1);

namespace App\Formats;

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

/** Takes an accepted file into the book, in one stroke: all of it, or where anything goes wrong nothing. */
final class WriteImport implements ShouldQueue
{
    use Dispatchable;
    use Queueable;
    use StaysReserved;

    /** One whose worker was killed begins again: it has kept nothing. */
    public int $tries = 3;

    public int $timeout = 600;

    private const AT_ONCE = 400;

    public function __construct(private readonly int $import)
    {
        $this->afterCommit();
        $this->onQueue(LongQueue::NAME);
    }

    public function handle(Tables $tables): void
    {
        $import = Import::query()->with('user')->find($this->import);
        if ($import === null || $import->status !== Import::WRITING) {
            return;
        }
        if ($import->user !== null) {
            // Whoever accepted it made the versions that come of it.
            Auth::setUser($import->user);
        }
        try {
            $this->write($import, $tables->takingIn($import->of));
        } catch (ValidationException $refused) {
            $this->putBack($refused->validator->errors()->first());
        }
    }

    private function write(Import $import, TakesIn $table): void
    {
        DB::transaction(function () use ($import, $table): void {
            $done = 0;
            $first = (int) DB::table('changes')->max('id') + 1;
            foreach ([RowSort::New, RowSort::Changed] as $sort) {
                DB::table('import_rows')->where('import_id', $import->id)->where('does', $sort->value)
                    ->chunkById(self::AT_ONCE, function ($rows) use ($table, $import, &$done): void {
                        $this->alive();
                        $table->keep(array_values($rows->map(AcceptedRow::of(...))->all()), $import->user);
                        $import->come($done += count($rows));
                    });
            }
            $import->forceFill([
                'status' => Import::DONE, 'first_change' => $first,
                'last_change' => (int) DB::table('changes')->max('id'),
            ])->save();
        });
    }

    public function failed(Throwable $thrown): void
    {
        $this->putBack(ucfirst(Trouble::inWords($thrown)).'.');
    }

    private function putBack(string $because): void
    {
        Import::query()->whereKey($this->import)->update([
            'status' => Import::READ,
            'says' => "It was not taken in. $because Nothing was kept. Read the file again to see what is new "
                .'in it now.',
        ]);
    }
}
