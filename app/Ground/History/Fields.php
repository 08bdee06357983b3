<?php

declare(strict_types=1);

namespace App\Ground\History;

use App\Ground\Support\Say;

/** Columns and what they hold, as people say them. */
final readonly class Fields
{
    /** Longer texts are cut. */
    private const LENGTH = 60;

    public static function name(string $field): string
    {
        return str_replace('_', ' ', (string) preg_replace('/_(mm|id|on)$/', '', $field));
    }

    public static function says(string $field, mixed $value): string
    {
        return match (true) {
            $value === null || $value === '' || $value === '[]' || $value === '{}' => 'nothing',
            str_ends_with($field, '_mm') && is_numeric($value) => (string) Say::length((int) $value),
            is_scalar($value) => '"'.mb_strimwidth((string) $value, 0, self::LENGTH, '...').'"',
            default => 'something',
        };
    }
}
