<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\SearchTables;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\PlantBook\PlantBook;

final class SearchController extends Controller
{
    private const MOST = 24;

    private const OFFERED = 12;

    public function index(Request $request, PlantBook $book): View
    {
        $text = Asked::text($request, 'q');
        $found = DB::table('plants')->whereNull('plants.deleted_at');
        $plants =
            $text === ''
                ? []
                : SeasonFilter::matching($found, $text, $book->named($text))
                    ->limit(self::MOST + 1)
                    ->pluck('plants.id')
                    ->all();
        $gardens =
            $text === ''
                ? []
                : SearchTables::ids('gardens', $text)
                    ->limit(self::MOST + 1)
                    ->pluck('id')
                    ->all();

        return view('search.index', [
            'text' => $text,
            'book' => $book,
            'gardens' => Garden::query()->whereKey(array_slice($gardens, 0, self::MOST))->orderBy('name')->get(),
            'plants' => Plant::query()
                ->with('garden')
                ->whereKey([...self::numbered($text), ...array_slice($plants, 0, self::MOST)])
                ->orderBy('label')
                ->get(),
            'more' => max(count($plants), count($gardens)) > self::MOST,
        ]);
    }

    /**
     * A plant by the number on its label and on the sheet: "17", "plant 17".
     *
     * @return list<int>
     */
    private static function numbered(string $text): array
    {
        return preg_match('/^(?:plant\s*)?(\d{1,9})$/i', $text, $found) === 1 ? [(int) $found[1]] : [];
    }

    /** Gardens that are called so, for a field that asks for one while it is typed. */
    public function gardens(Request $request): JsonResponse
    {
        $text = Asked::text($request, 'q');

        return new JsonResponse(
            $text === ''
                ? []
                : DB::table('gardens')
                    ->whereIn('id', SearchTables::ids('gardens', $text))
                    ->orderBy('name')
                    ->limit(self::OFFERED)
                    ->get(['id', 'name', 'client']),
        );
    }
}
