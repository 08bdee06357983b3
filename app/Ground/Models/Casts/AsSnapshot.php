<?php

declare(strict_types=1);

namespace App\Ground\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use InvalidArgumentException;
use PruningHook\Core\Prescription\Snapshot;

/**
 * A prescription as it stood, kept as JSON.
 *
 * @implements CastsAttributes<Snapshot, Snapshot>
 */
final class AsSnapshot implements CastsAttributes
{
    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): Snapshot
    {
        return Snapshot::read(json_decode((string) $value, true, flags: JSON_THROW_ON_ERROR));
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return $value instanceof Snapshot
            ? json_encode($value->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)
            : throw new InvalidArgumentException('a task on a sheet has a prescription');
    }
}
