<?php

declare(strict_types=1);

namespace App\Io\Import;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Validation\ValidationException;

/** Lines that are taken in: what was read as new is matched again when it is written. */
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

    /**
     * What has come into the book since the file was read is not taken in a second time.
     *
     * @param  list<string>  $names
     *
     * @throws ValidationException where there is any
     */
    private static function refuseThose(array $names): void
    {
        $told = 3;
        if ($names !== []) {
            throw ValidationException::withMessages(['file' => sprintf(
                'Since it was read, %s%s %s been added by another way.', implode(', ', array_slice($names, 0, $told)),
                count($names) > $told ? ' and '.(count($names) - $told).' more' : '',
                count($names) === 1 ? 'has' : 'have',
            )]);
        }
    }
}
