<?php

declare(strict_types=1);

namespace App\PlantBook;

use App\Support\Asked;
use App\Support\Controller;
use App\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use PruningHook\Core\PlantBook\PlantBook;

final class PlantBookController extends Controller
{
    public function index(Request $request, PlantBook $book): View
    {
        $filter = KindFilter::from($request);

        return view('plant-book.index', [
            'book' => $book,
            'filter' => $filter,
            'own' => OwnKinds::inForce(),
            'kinds' => $filter->kinds($book, Today::day()),
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
