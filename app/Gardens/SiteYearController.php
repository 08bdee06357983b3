<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Ground\Support\Controller;
use App\Ground\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Drawing\WarmthChart;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\PlantBook;

/** The year a site would use, drawn while it is being written down. */
final class SiteYearController extends Controller
{
    public function show(SiteYearRequest $request, PlantBook $book): View|JsonResponse
    {
        try {
            $site = $request->year($book);
        } catch (Fault $fault) {
            return new JsonResponse(['message' => ucfirst($fault->getMessage()).'.'], 422);
        }

        return view('gardens.year', [
            'chart' => WarmthChart::of(SiteYear::of($site, SiteYear::seasonOn($site, Today::day()))),
            'winter' => $site->winter,
        ]);
    }
}
