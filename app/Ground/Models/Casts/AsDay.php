<?php

declare(strict_types=1);

namespace App\Ground\Models\Casts;

use DateTimeInterface;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use PruningHook\Core\Calendar\Day;

/**
 * A day of the calendar, kept as `yyyy-mm-dd` and nothing more, so that an index on it can be used and days compare as
 * text; in the application it is the core's Day.
 *
 * @implements CastsAttributes<Day, Day|DateTimeInterface|string>
 */
final class AsDay implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Day
    {
        return is_string($value) ? Day::parse($value) : null;
    }

    /** @throws \PruningHook\Core\Fault when it is no day of the calendar */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return match (true) {
            $value === null => null,
            $value instanceof DateTimeInterface => $value->format('Y-m-d'),
            default => (string) Day::parse((string) $value),
        };
    }
}
