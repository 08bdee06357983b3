<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Garden;
use App\Models\Plant;
use App\Season\SeasonFilter;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use PruningHook\Core\PlantBook\PlantBook;

final class SearchController extends Controller
{
    private const MOST = 100;

    public function index(Request $request, PlantBook $book): View
    {
        $text = $request->string('q')->trim()->toString();
        $like = '%'.addcslashes($text, '%_\\').'%';

        return view('search.index', [
            'text' => $text,
            'book' => $book,
            'gardens' => $text === '' ? collect() : Garden::query()->whereAny(['name', 'client', 'address'], 'like', $like)->orderBy('name')->get(),
            'plants' => $text === '' ? collect() : SeasonFilter::matching(Plant::query()->with('garden'), $text, $book)->orderBy('label')->limit(self::MOST)->get(),
        ]);
    }
}
