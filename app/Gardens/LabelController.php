<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Ground\Models\Garden;
use App\Ground\Support\Controller;
use App\Ground\Support\Pages;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use PruningHook\Core\PlantBook\PlantBook;

/** Labels of a garden's plants to print: what each is called, its number, and a code that leads to its page. */
final class LabelController extends Controller
{
    /** Labels of one sheet of A4: three beside one another in eight rows. */
    private const ON_A_SHEET = 24;

    public function __invoke(Request $request, Garden $garden, PlantBook $book): View
    {
        $pages = Pages::of($request, $garden->plants()->count(), self::ON_A_SHEET);
        $plants = $garden->plants()->orderBy('bed')->orderBy('label')->orderBy('id');

        return view('gardens.labels', [
            'garden' => $garden, 'pages' => $pages, 'book' => $book,
            'plants' => $plants->skip($pages->offset())->limit($pages->per)->get(),
        ]);
    }
}
