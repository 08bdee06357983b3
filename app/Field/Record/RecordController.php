<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Season\Due\DueKeeper;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use PruningHook\Core\PlantBook\PlantBook;

final class RecordController extends Controller
{
    /** Plants of a kind that were cut in different ways. */
    public function compare(Request $request, Treatments $treatments, PlantBook $book, DueKeeper $keeper): View
    {
        $asked = Asked::text($request, 'kind');
        $kind = $book->has($asked) ? $asked : null;
        // A few gardens with news are worked out while the page waits.
        $ready = $keeper->ready();

        return view('record.compare', [
            'kind' => $kind, 'book' => $book, 'treatments' => $kind === null ? [] : $treatments->of($kind),
            'ready' => $ready,
        ]);
    }

    public function index(Request $request, RecordScreen $screen): View
    {
        return view('record.index', $screen->show($request));
    }
}
