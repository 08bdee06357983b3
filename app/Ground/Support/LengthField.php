<?php

declare(strict_types=1);

namespace App\Ground\Support;

use PruningHook\Core\Amount\Amount;

/** Forms ask for lengths in centimetres, and in millimetres only where they are too small for that. */
final readonly class LengthField
{
    private const MM_PER_CM = 10;

    public static function unit(Amount $amount): string
    {
        return $amount->unit === 'mm' && self::inCm($amount->max) ? 'cm' : $amount->unit;
    }

    /** The value as the form shows it. */
    public static function shown(Amount $amount, int $value): int
    {
        return self::unit($amount) === 'cm' ? intdiv($value, self::MM_PER_CM) : $value;
    }

    /** The value as it is kept. */
    public static function kept(Amount $amount, int $shown): int
    {
        return self::unit($amount) === 'cm' ? $shown * self::MM_PER_CM : $shown;
    }

    public static function mm(?int $cm): ?int
    {
        return $cm === null ? null : $cm * self::MM_PER_CM;
    }

    public static function cm(?int $mm): ?int
    {
        return $mm === null ? null : intdiv($mm, self::MM_PER_CM);
    }

    private static function inCm(int $mm): bool
    {
        return $mm >= 100;
    }
}
