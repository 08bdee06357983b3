<?php

declare(strict_types=1);

namespace App\Record;

use App\Support\Asked;
use App\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use PruningHook\Core\PlantBook\PlantBook;

final class RecordController extends Controller
{
    /** Plants of a kind that were cut in different ways. */
    public function compare(Request $request, Treatments $treatments, PlantBook $book): View
    {
        $asked = Asked::text($request, 'kind');
        $kind = $book->has($asked) ? $asked : null;

        return view('record.compare', [
            'kind' => $kind, 'book' => $book, 'treatments' => $kind === null ? [] : $treatments->of($kind),
        ]);
    }

    public function index(Request $request, RecordScreen $screen): View
    {
        return view('record.index', $screen->show($request));
    }
}
