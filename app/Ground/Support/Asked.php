<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Contracts\Support\MessageBag;
use Illuminate\Http\Request;
use Illuminate\Support\ViewErrorBag;

/**
 * What is asked for in an address or a form, as text whatever was sent: a list where a word was meant is no word.
 */
final readonly class Asked
{
    public static function text(Request $request, string $field): string
    {
        $said = $request->input($field);

        return is_scalar($said) ? trim((string) $said) : '';
    }

    /** A number a row may have; 0 for anything else. */
    public static function whole(Request $request, string $field): int
    {
        $said = self::text($request, $field);

        return preg_match('/^\d{1,18}$/', $said) === 1 ? (int) $said : 0;
    }

    /** A season; null for anything that is none. */
    public static function season(Request $request, string $field): ?int
    {
        $said = self::text($request, $field);

        return preg_match('/^\d{4}$/', $said) === 1 ? (int) $said : null;
    }

    /**
     * Whether what came back is of the form with that bag of errors: a page may hold several with fields of one name,
     * and what was refused in one is not written into another.
     */
    public static function isOf(ViewErrorBag $errors, string $bag): bool
    {
        $wrong = array_filter($errors->getBags(), static fn (MessageBag $each): bool => $each->isNotEmpty());

        return $wrong === [] || isset($wrong[$bag]);
    }

    /** How many answers were refused, in whichever form of the page. */
    public static function refused(ViewErrorBag $errors): int
    {
        return array_sum(array_map(static fn (MessageBag $each): int => count($each->keys()), $errors->getBags()));
    }

    /** What a form was filled in with before it came back, else what is kept; never a list. */
    public static function before(string $field, mixed $kept = null): mixed
    {
        $said = old($field, $kept);

        return is_array($said) ? null : $said;
    }

    /**
     * The same of a field that is a list.
     *
     * @param  array<array-key, mixed>  $kept
     * @return array<array-key, mixed>
     */
    public static function listBefore(string $field, array $kept = []): array
    {
        $said = old($field, $kept);

        return is_array($said) ? array_filter($said, is_scalar(...)) : [];
    }

    /**
     * The same of a field that is a list of lines, each with fields of its own.
     *
     * @return list<array<array-key, mixed>>
     */
    public static function rowsBefore(string $field): array
    {
        $said = old($field, []);

        return is_array($said) ? array_values(array_filter($said, is_array(...))) : [];
    }
}
