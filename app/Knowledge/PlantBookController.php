<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\Pages;
use App\Ground\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use PruningHook\Core\PlantBook\PlantBook;

final class PlantBookController extends Controller
{
    private const ON_A_PAGE = 100;

    public function index(Request $request, PlantBook $book): View
    {
        $filter = KindFilter::from($request);
        $ids = $filter->kinds($book, Today::day());
        $pages = Pages::of($request, count($ids), self::ON_A_PAGE);

        return view('plant-book.index', [
            'book' => $book,
            'filter' => $filter,
            'own' => OwnKinds::inForce(),
            'pages' => $pages,
            // Read whole are only those that are shown.
            'kinds' => array_map($book->kind(...), array_slice($ids, $pages->offset(), $pages->per)),
        ]);
    }

    public function anchors(AnchorScreen $screen): View
    {
        return view('plant-book.anchors', $screen->show(Today::day()));
    }

    public function show(Request $request, string $kind, KindScreen $screen, PlantBook $book): View
    {
        return view(
            'plant-book.show',
            $screen->show(
                $book->has($kind) ? $book->kind($kind) : abort(404), Asked::text($request, 'garden'),
                Today::day(),
            ),
        );
    }
}
