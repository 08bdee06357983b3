<?php

declare(strict_types=1);

namespace App\Formats;

use App\Due\Revisions;
use App\Due\Watch;
use App\Models\Did;
use App\Models\Import;
use App\Models\Plant;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use stdClass;
use Throwable;

/** Takes an accepted file into the book, in one stroke: all of it, or where anything goes wrong nothing. */
final class WriteImport implements ShouldQueue
{
    use Dispatchable;
    use Queueable;

    public int $tries = 1;

    public int $timeout = 600;

    private const AT_ONCE = 400;

    public function __construct(private readonly int $import)
    {
        $this->afterCommit();
    }

    public function handle(Tables $tables): void
    {
        $import = Import::query()->with('user')->find($this->import);
        if ($import === null || $import->status !== Import::WRITING) {
            return;
        }
        $model = $tables->named($import->of)->model();
        if ($import->user !== null) {
            // Whoever accepted it made the versions that come of it.
            Auth::setUser($import->user);
        }
        DB::transaction(function () use ($import, $model): void {
            $done = 0;
            $first = (int) DB::table('changes')->max('id') + 1;
            foreach ([RowSort::New, RowSort::Changed] as $sort) {
                DB::table('import_rows')->where('import_id', $import->id)->where('does', $sort->value)
                    ->chunkById(self::AT_ONCE, function ($rows) use ($sort, $model, $import, &$done): void {
                        $sort === RowSort::New && $model === Plant::class
                            ? $this->plant($rows->all())
                            : $rows->each(fn (stdClass $row) => $this->save($model, $row));
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
        Import::query()->whereKey($this->import)->update([
            'status' => Import::READ,
            'says' => 'It was not taken in: somebody changed what it names meanwhile, or something went wrong on our '
                .'side. Nothing was kept. Take it in again, or read the file anew.',
        ]);
    }

    /** @param  class-string<Model>  $model */
    private function save(string $model, stdClass $row): void
    {
        $facts = self::facts($row);
        $saved = $row->row_id === null ? new $model : $model::query()->findOrFail((int) $row->row_id);
        $saved->forceFill($facts);
        $saved->save();
    }

    /**
     * New plants by the hundred: one by one they would keep everybody else from writing for too long.
     *
     * @param  array<int, stdClass>  $rows
     */
    private function plant(array $rows): void
    {
        $now = Carbon::now();
        // Nor is the number of one that is gone given again: its versions are still there.
        $next = max(
            (int) DB::table('plants')->max('id'), (int) DB::table('changes')->where('of', 'plant')->max('row_id'),
        );
        $plants = $versions = $gardens = [];
        foreach ($rows as $row) {
            $plant = (new Plant)->forceFill(['id' => ++$next, ...self::facts($row)]);
            Watch::date($plant);
            $plant->own_practice = false;
            $attributes = [...self::EMPTY, ...$plant->getAttributes()];
            $plants[] = [...$attributes, 'created_at' => $now, 'updated_at' => $now];
            $gardens[$plant->garden_id] = $plant->garden_id;
            $versions[] = [
                'of' => 'plant', 'row_id' => $next, 'did' => Did::Made->value,
                'label' => mb_substr($plant->versionLabel(), 0, 200), 'before' => '[]',
                'after' => json_encode(array_diff_key($attributes, ['own_practice' => 0]), JSON_THROW_ON_ERROR),
                'user_id' => Auth::id(), 'at' => $now,
            ];
        }
        DB::table('plants')->insert($plants);
        DB::table('changes')->insert($versions);
        Revisions::gardens(...array_values($gardens));
    }

    /** Every line of one insert names the same columns. */
    private const EMPTY = [
        'bed' => null, 'planted_on' => null, 'height_mm' => null, 'spread_mm' => null, 'run_mm' => null,
        'flowering_height_mm' => null, 'stems_old' => null, 'stems_young' => null, 'form' => null, 'aim' => null,
        'grafted' => null, 'notes' => null, 'height_on' => null, 'stems_on' => null,
    ];

    /** @return array<string, mixed> */
    private static function facts(stdClass $row): array
    {
        return (array) json_decode((string) $row->facts, true, flags: JSON_THROW_ON_ERROR);
    }
}
