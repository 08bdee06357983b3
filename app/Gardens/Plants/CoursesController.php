<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Models\Plant;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\Today;
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
