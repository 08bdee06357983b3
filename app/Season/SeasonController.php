<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Models\Crew;
use App\Ground\Models\User;
use App\Ground\Support\Controller;
use App\Ground\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use PruningHook\Core\PlantBook\PlantBook;

final class SeasonController extends Controller
{
    public function index(Request $request, SeasonScreen $screen, PlantBook $book, Decisions $decisions): View
    {
        /** @var User $user */
        $user = $request->user();
        $filter = SeasonFilter::from($request, $book);

        return view('season.index', [
            ...$screen->show($filter, $request, Today::day())->toArray(),
            'decisions' => $filter->isOn() ? [] : $decisions->of($user, Today::day()),
            'steps' => FirstSteps::of($user),
            'filter' => $filter,
            'crews' => Crew::names(),
            'book' => $book,
        ]);
    }

    /** The rows of one group of a folded wall. */
    public function group(Request $request, string $group, SeasonScreen $screen, PlantBook $book): View
    {
        return view(
            'season.group',
            $screen->group(SeasonFilter::from($request, $book), $group, $request, Today::day()),
        );
    }
}
