<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Models\User;
use App\Ground\Support\Controller;
use Carbon\Exceptions\InvalidFormatException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use PDOException;

final class EntryController extends Controller
{
    /** Who is signed in, and by which token this browser may send: a phone asks before it does. */
    public function who(Request $request): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();

        return response()->json([
            'user' => $user->id, 'name' => $user->name, 'token' => csrf_token(),
            'now' => Carbon::now()->toIso8601String(), 'key' => $user->phoneKey(),
        ]);
    }

    /**
     * Each entry is answered by itself; what one lacks never holds the others back. Where the office cannot write any
     * more, those it has not come to are left out of the answer: they wait on the phone.
     */
    public function store(Request $request, Entries $entries): JsonResponse
    {
        $body = self::body($request);
        $this->validate($request->replace($body), ['entries' => ['required', 'array', 'max:'.Entries::AT_ONCE]]);
        /** @var User $user */
        $user = $request->user();
        $phone = self::moment($body['now'] ?? null);
        $results = [];
        foreach ((array) $body['entries'] as $sent) {
            try {
                $results[] = $entries->keep((array) $sent, $user, $phone);
            } catch (PDOException $fault) {
                if ($results === []) {
                    throw $fault;
                }
                report($fault);

                break;
            }
        }

        return response()->json(['results' => $results, 'now' => Carbon::now()->toIso8601String()]);
    }

    /**
     * Half of a character that takes two (an emoji that was cut in the middle) makes the whole of it unreadable as
     * JSON: a sign for what is missing takes its place.
     *
     * @return array<array-key, mixed>
     */
    private static function body(Request $request): array
    {
        $text = $request->getContent();
        $body = json_decode($text, true);
        if (! is_array($body)) {
            $high = '\\\\u[dD][89abAB][0-9a-fA-F]{2}';
            $low = '\\\\u[dD][c-fC-F][0-9a-fA-F]{2}';
            $body = json_decode(mb_scrub((string) preg_replace(
                "/$high(?!$low)|(?<!$high)$low/", '\\\\ufffd', $text,
            ), 'UTF-8'), true);
        }

        return is_array($body) ? $body : [];
    }

    /** What the phone's clock said; null where it said nothing that can be read. */
    private static function moment(mixed $said): ?Carbon
    {
        try {
            return is_string($said) ? Carbon::parse($said) : null;
        } catch (InvalidFormatException) {
            return null;
        }
    }
}
