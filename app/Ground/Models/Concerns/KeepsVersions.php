<?php

declare(strict_types=1);

namespace App\Ground\Models\Concerns;

use App\Ground\Models\Change;
use App\Ground\Models\Did;
use App\Ground\Models\Import;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/**
 * Every change of a row is kept as a version: who, when, what it was and what it became. Written in the transaction
 * that changes it.
 *
 * @mixin Model
 */
trait KeepsVersions
{
    /** What follows from the rest, or is nobody's to read. */
    private const NOT_VERSIONED = [
        'created_at', 'updated_at', 'revision', 'kinds_revision', 'plan_revision', 'own_practice', 'late_days',
        'unlogged', 'waiting', 'rain_mm', 'password', 'remember_token', 'session_version',
        'joined_at', 'email_verified_at',
        'code_secret', 'code_since', 'code_step', 'code_spares', 'pin',
    ];

    public static function bootKeepsVersions(): void
    {
        static::created(static fn (Model $row) => self::keepVersion($row, Did::Made, [], $row->getAttributes()));
        static::updated(static function (Model $row): void {
            $after = $row->getChanges();
            $before = array_intersect_key($row->getRawOriginal(), $after);
            $did = array_key_exists('deleted_at', $after) && $after['deleted_at'] === null
                ? Did::BroughtBack
                : Did::Changed;
            self::keepVersion($row, $did, $before, array_intersect_key($row->getAttributes(), $after));
        });
        static::deleting(static function (Model $row): void {
            self::keepVersion($row, Did::TakenOut, [...$row->getRawOriginal(), ...self::below($row)], []);
        });
    }

    /** What it is called in the list of changes. */
    public function versionLabel(): string
    {
        $name = $this->getAttribute('label') ?? $this->getAttribute('name') ?? $this->getAttribute('kind');

        return is_string($name) ? $name : '#'.$this->getKey();
    }

    /**
     * What goes with a row when it goes, by table.
     *
     * @return array<string, string>
     */
    private static function below(Model $row): array
    {
        if (! method_exists($row, 'goesWith')) {
            return [];
        }
        $below = [];
        foreach ((array) $row->goesWith() as $table => $column) {
            $below["+$table"] = json_encode(
                DB::table((string) $table)->where((string) $column, $row->getKey())->get()->all(), JSON_THROW_ON_ERROR,
            );
        }

        return $below;
    }

    /**
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     */
    private static function keepVersion(Model $row, Did $did, array $before, array $after): void
    {
        $hidden = array_flip(self::NOT_VERSIONED);
        [$before, $after] = [array_diff_key($before, $hidden), array_diff_key($after, $hidden)];
        if ($did === Did::Changed && $after === []) {
            return;
        }
        assert(method_exists($row, 'versionLabel'));
        Change::query()->create([
            'of' => (string) array_search($row::class, Change::ROWS, true), 'row_id' => (int) $row->getKey(),
            'did' => $did, 'label' => mb_substr((string) $row->versionLabel(), 0, 200), 'before' => $before,
            'after' => $after, 'user_id' => Auth::id(), 'at' => Carbon::now(), 'import_id' => Import::bringing(),
        ]);
    }
}
