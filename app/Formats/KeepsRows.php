<?php

declare(strict_types=1);

namespace App\Formats;

use Illuminate\Database\Eloquent\Model;

/** Lines that each are one row of a table, made or changed. */
trait KeepsRows
{
    /**
     * @param  class-string<Model>  $model
     * @param  list<AcceptedRow>  $rows
     */
    private static function keepEach(string $model, array $rows): void
    {
        foreach ($rows as $row) {
            $saved = $row->id === null ? new $model : $model::query()->findOrFail($row->id);
            $saved->forceFill($row->facts)->save();
        }
    }
}
