<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;

/**
 * Texts that are in no writing, hold what ends a text, or are longer than anybody writes are refused before anything
 * reads them: beside their field where something was to be kept, and put right where somebody only looks.
 */
final readonly class SoundText
{
    /** In bytes. No field takes as much. */
    private const MOST = 20_000;

    /** Where each of many things sent at once is judged by itself, so that one does not hold back the others. */
    private const JUDGED_ONE_BY_ONE = ['entries'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (! self::isSound(rawurldecode($request->getPathInfo()))) {
            abort(404);
        }
        // No page asks for a number; an address made of what was asked would take one for a part of its way.
        $request->query->replace(self::mended(array_filter(
            $request->query->all(), is_string(...), ARRAY_FILTER_USE_KEY,
        )));
        if (! $request->isMethodSafe() && ! $request->is(...self::JUDGED_ONE_BY_ONE)) {
            $wrong = self::wrong($request->isJson() ? $request->json()->all() : $request->request->all());
            if ($wrong !== []) {
                throw ValidationException::withMessages($wrong);
            }
        }

        return $next($request);
    }

    private static function isSound(string $text): bool
    {
        return mb_check_encoding($text, 'UTF-8') && ! str_contains($text, "\0");
    }

    /**
     * @param  array<array-key, mixed>  $input
     * @return array<array-key, mixed>
     */
    private static function mended(array $input): array
    {
        $mended = [];
        foreach ($input as $field => $value) {
            if (! is_string($field) || self::isSound($field)) {
                $mended[$field] = match (true) {
                    is_array($value) => self::mended($value),
                    is_string($value) => str_replace("\0", '', mb_scrub(substr($value, 0, self::MOST), 'UTF-8')),
                    default => $value,
                };
            }
        }

        return $mended;
    }

    /**
     * @param  array<array-key, mixed>  $input
     * @return array<string, string> by field
     */
    public static function wrong(array $input, string $within = ''): array
    {
        $wrong = [];
        foreach ($input as $field => $value) {
            $name = $within.(self::isSound((string) $field) ? $field : 'form');
            if (is_array($value)) {
                $wrong += self::wrong($value, "$name.");
            } elseif (is_string($value)) {
                $says = match (true) {
                    ! self::isSound((string) $field), ! self::isSound($value) => 'This contains invalid characters. '
                        .'Type it again.',
                    strlen($value) > self::MOST => 'This is too long to be kept.',
                    default => null,
                };
                $wrong += $says === null ? [] : [$name => $says];
            }
        }

        return $wrong;
    }
}
