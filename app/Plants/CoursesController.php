<?php

declare(strict_types=1);

namespace App\Plants;

use App\Models\Plant;
use App\Support\Asked;
use App\Support\Controller;
use App\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use PruningHook\Core\Regrowth\Stage;

/** What becomes of a plant in three years under each course. */
final class CoursesController extends Controller
{
    public function __invoke(Request $request, Plant $plant, CoursesScreen $screen): View
    {
        $at = Asked::text($request, 'at');

        return view('plants.courses', $screen->show(
            $plant->load(['garden', 'workLogs', 'bloomNotes']), Asked::text($request, 'task'),
            isset(Stage::NAMES[$at]) ? $at : 'now', Today::day(),
        ));
    }
}
