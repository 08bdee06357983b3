<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\PlantBook\NameMatch;
use PruningHook\Core\PlantBook\PlantBook;

/** Kinds that a name may stand for, while it is typed: those the firm has planted last go first. */
final class FindController extends Controller
{
    /** So many of the last plants tell what the firm plants. */
    private const LAST = 60;

    public function __invoke(Request $request, PlantBook $book): JsonResponse
    {
        $last = DB::table('plants')->max('id');
        $recent = DB::table('plants')->where('id', '>', (is_numeric($last) ? (int) $last : 0) - self::LAST)
            ->orderByDesc('id')->pluck('kind')->unique()->values()->all();

        return new JsonResponse(['matches' => array_map(
            static fn (NameMatch $match): array => $match->toArray(),
            $book->names()->find(Asked::text($request, 'q'), array_values(array_filter($recent, is_string(...)))),
        )]);
    }
}
