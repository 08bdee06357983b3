<?php

declare(strict_types=1);

namespace App\Plants;

use App\Models\Plant;
use App\Support\Asked;
use App\Support\Controller;
use App\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Regrowth\Stage;

/** What becomes of a plant in three years, left alone and with its task. */
final class FutureController extends Controller
{
    public function __invoke(Request $request, Plant $plant, FutureScreen $screen, PlantBook $book): View
    {
        abort_unless($book->has($plant->kind), 404);
        $at = Asked::text($request, 'at');

        return view('plants.future', $screen->show(
            $plant->load(['garden', 'workLogs']), Asked::text($request, 'task'),
            isset(Stage::NAMES[$at]) ? $at : 'now', Today::day(),
        ));
    }
}
