<?php

declare(strict_types=1);

namespace App\Io\Api;

use Illuminate\Database\Eloquent\Builder as EloquentBuilder;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Pagination\Cursor;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\ValidationException;
use PruningHook\Core\Calendar\Day;
use UnexpectedValueException;

/** The filters and the pages of a list. */
final readonly class Listing
{
    public const AT_ONCE = 50;

    public const MOST = 200;

    /**
     * What a program asked for. A parameter that does not exist is refused: misspelt, it would return everything.
     *
     * @param  array<string, list<mixed>>  $rules  by filter
     * @return array<string, string> by filter, of those that were given
     *
     * @throws ValidationException
     */
    public static function filters(Request $request, array $rules): array
    {
        $rules += ['cursor' => ['string', 'max:1000'], 'limit' => ['integer', 'min:1', 'max:'.self::MOST]];
        $asked = Validator::make($request->query->all(), array_map(
            static fn (array $each): array => ['bail', 'filled', ...$each], $rules,
        ))->validate();
        foreach (array_diff(array_keys($request->query->all()), array_keys($rules)) as $unknown) {
            throw ValidationException::withMessages([$unknown => sprintf(
                'Unknown parameter. Known here: %s.', implode(', ', array_keys($rules)),
            )]);
        }

        return array_map(
            static fn (mixed $value): string => is_scalar($value) ? (string) $value : '',
            array_diff_key($asked, ['cursor' => 0, 'limit' => 0]),
        );
    }

    /**
     * The first and the last day asked for.
     *
     * @param  array<string, string>  $filters
     * @return array{Day, Day}
     *
     * @throws ValidationException where the last comes first, or more days lie between than a program gets at once
     */
    public static function days(array $filters, Day $from, int $days, int $most): array
    {
        $from = isset($filters['from']) ? Day::parse($filters['from']) : $from;
        $to = isset($filters['to']) ? Day::parse($filters['to']) : $from->plus($days);
        if ($to->isBefore($from) || $to->number - $from->number > $most) {
            throw ValidationException::withMessages(['to' => "Must be from 0 to $most days after \"from\"."]);
        }

        return [$from, $to];
    }

    /**
     * @param  Builder|EloquentBuilder<*>  $query  in an order that is the same each time
     * @param  callable  $row  given a row, says it as the API does
     * @param  array<string, mixed>  $besides  what the list says beside its rows
     *
     * @throws ValidationException where the cursor is of another list, or of none
     */
    public static function answer(
        Request $request,
        Builder|EloquentBuilder $query,
        callable $row,
        array $besides = [],
    ): JsonResponse {
        $said = $request->query('cursor');
        try {
            $page = $query->cursorPaginate(
                $request->integer('limit', self::AT_ONCE), cursor: $said === null ? null : self::cursor($said),
            );
        } catch (UnexpectedValueException) {
            throw ValidationException::withMessages([
                'cursor' => 'This cursor does not belong to this list. Follow "next" of the page before.',
            ]);
        }
        $next = $page->withQueryString()->nextPageUrl();

        return new JsonResponse(
            ['data' => array_map($row, $page->items()), 'next' => $next, ...$besides],
            headers: $next === null ? [] : ['Link' => "<$next>; rel=\"next\""],
            options: JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }

    /** @param  array<string, mixed>  $row */
    public static function one(array $row): JsonResponse
    {
        return new JsonResponse(['data' => $row], options: JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** @throws UnexpectedValueException */
    private static function cursor(mixed $said): Cursor
    {
        $text = is_string($said) ? base64_decode(strtr($said, '-_', '+/'), true) : false;
        $holds = json_decode((string) $text, true);
        if (! is_array($holds) || ! is_bool($holds['_pointsToNextItems'] ?? null)
            || array_filter($holds, is_scalar(...)) !== $holds) {
            throw new UnexpectedValueException('not a cursor');
        }

        return Cursor::fromEncoded((string) $said) ?? throw new UnexpectedValueException('not a cursor');
    }
}
