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
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use stdClass;
use Throwable;

/**
 * Takes an accepted file into the book, by pieces, between which others write. Where anything goes wrong, what is in is
 * taken out again.
 */
final class WriteImport implements ShouldQueue
{
    use Dispatchable;
    use Queueable;
    use StaysReserved;

    /** One whose worker was killed goes on where it stopped. */
    public int $tries = 3;

    public int $timeout = 600;

    /** Lines of a piece: the database is ours for about as long as for one form. */
    private const AT_ONCE = 100;

    /** Microseconds in which others come to write. */
    public const BREATH = 20_000;

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
            $import->putBack($refused->validator->errors()->first());
            TakeBackImport::dispatch($import->id);
        }
    }

    private function write(Import $import, TakesIn $table): void
    {
        $done = $import->linesIn();
        foreach ([RowSort::New, RowSort::Changed] as $sort) {
            $goesOn = DB::table('import_rows')->where('import_id', $import->id)->where('does', $sort->value)
                ->where('kept', false)
                ->chunkById(self::AT_ONCE, function (Collection $rows) use ($table, $import, &$done): bool {
                    $this->alive();
                    if (! self::piece($import, $table, $rows)) {
                        return false;
                    }
                    $import->come($done += count($rows));
                    usleep(self::BREATH);

                    return true;
                });
            if (! $goesOn) {
                return;
            }
        }
        Import::query()->whereKey($import->id)->where('status', Import::WRITING)->update(['status' => Import::DONE]);
    }

    /**
     * @param  Collection<int, stdClass>  $rows
     * @return bool false where somebody stopped it
     */
    private static function piece(Import $import, TakesIn $table, Collection $rows): bool
    {
        return DB::transaction(static function () use ($import, $table, $rows): bool {
            // The first statement writes, so that nobody stops it from here to the end of the piece.
            $lines = DB::table('import_rows')->whereIn('id', $rows->pluck('id'))->update(['kept' => true]);
            if ($lines === 0 || Import::query()->whereKey($import->id)->value('status') !== Import::WRITING) {
                DB::table('import_rows')->whereIn('id', $rows->pluck('id'))->update(['kept' => false]);

                return false;
            }
            $import->bring(
                static fn () => $table->keep(array_values($rows->map(AcceptedRow::of(...))->all()), $import->user),
            );

            return true;
        });
    }

    public function failed(Throwable $thrown): void
    {
        $import = Import::query()->find($this->import);
        if ($import?->status === Import::WRITING) {
            $import->putBack(ucfirst(Trouble::inWords($thrown)).'.');
            TakeBackImport::dispatch($import->id);
        }
    }
}
