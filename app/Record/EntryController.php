<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\User;
use App\Support\Asked;
use App\Support\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;

final class EntryController extends Controller
{
    /** Who is signed in, and by which token this browser may send: a phone asks before it does. */
    public function who(Request $request): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();

        return response()->json([
            'user' => $user->id, 'name' => $user->name, 'token' => csrf_token(),
            'now' => Carbon::now()->toIso8601String(),
        ]);
    }

    /** Each word is answered by itself; what one lacks never holds the others back. */
    public function store(Request $request, Entries $entries): JsonResponse
    {
        $this->validate($request, [
            'now' => ['nullable', 'date'],
            'entries' => ['required', 'array', 'max:'.Entries::AT_ONCE],
            'entries.*' => ['array'],
        ]);
        /** @var User $user */
        $user = $request->user();
        $phone = $request->filled('now') ? Carbon::parse(Asked::text($request, 'now')) : null;
        $results = [];
        foreach ((array) $request->input('entries') as $sent) {
            $results[] = $entries->keep((array) $sent, $user, $phone);
        }

        return response()->json(['results' => $results, 'now' => Carbon::now()->toIso8601String()]);
    }
}
