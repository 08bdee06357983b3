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
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PruningHook\Core\Fault;
use Throwable;

/** Reads a file that is to be taken in, line by line, and keeps what each line would do. */
final class ReadImport implements ShouldQueue
{
    use Dispatchable;
    use Queueable;
    use StaysReserved;

    /** One whose worker was killed begins again: it has kept nothing. */
    public int $tries = 3;

    public int $timeout = 600;

    private const AT_ONCE = 250;

    public function __construct(private readonly int $import)
    {
        $this->afterCommit();
        $this->onQueue(LongQueue::NAME);
    }

    public function handle(Tables $tables): void
    {
        $import = Import::query()->find($this->import);
        if ($import === null || $import->status !== Import::READING) {
            return;
        }
        DB::table('import_rows')->where('import_id', $import->id)->delete();
        $table = $tables->takingIn($import->of);
        $counts = array_fill_keys(array_column(RowSort::cases(), 'value'), 0);
        try {
            $rows = [];
            $path = Storage::disk('local')->path($import->path());
            foreach ($table->lines($path) as $line => $cells) {
                $row = $table->read($cells);
                $counts[$row->sort->value]++;
                $rows[] = [
                    'import_id' => $import->id, 'line' => $line, 'does' => $row->sort->value,
                    'label' => mb_substr($row->label, 0, 120), 'row_id' => $row->id,
                    'facts' => json_encode($row->facts, JSON_THROW_ON_ERROR),
                    'says' => json_encode($row->says, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                ];
                if (count($rows) === self::AT_ONCE) {
                    DB::table('import_rows')->insert($rows);
                    $rows = [];
                    $import->come((int) array_sum($counts));
                    $this->alive();
                    if ($import->refresh()->status !== Import::READING) {
                        DB::table('import_rows')->where('import_id', $import->id)->delete();

                        return;
                    }
                }
            }
            DB::table('import_rows')->insert($rows);
            if (array_sum($counts) === 0) {
                throw new Fault('the file has no line below its first');
            }
            Import::query()->whereKey($import->id)->where('status', Import::READING)
                ->update(['status' => Import::READ, ...$counts]);
        } catch (Fault $fault) {
            $this->refuse($import, ucfirst($fault->getMessage()).'.');
        }
    }

    public function failed(Throwable $thrown): void
    {
        $import = Import::query()->find($this->import);
        if ($import !== null) {
            $this->refuse($import, 'It could not be read: '.Trouble::inWords($thrown).'. Nothing was kept.');
        }
    }

    private function refuse(Import $import, string $because): void
    {
        DB::table('import_rows')->where('import_id', $import->id)->delete();
        $import->update(['status' => Import::REFUSED, 'says' => $because]);
    }
}
