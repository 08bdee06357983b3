<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Ground\Bridge\CorePlants;
use App\Ground\History\FreshForm;
use App\Ground\History\Undo;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Support\Controller;
use App\Ground\Support\Pages;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use PruningHook\Core\PlantBook\PlantBook;

final class SchoolsController extends Controller
{
    /** Gardens and plants of one page that have a practice of their own. */
    private const LISTED = 20;

    public function edit(Request $request, PlantBook $book, CorePlants $bridge): View
    {
        $gardens = Garden::query();
        $gardens->where('own_practice', true);
        $plants = Plant::query();
        $plants->where('own_practice', true);
        $pages = [
            'gardens' => Pages::of($request, $gardens->count(), self::LISTED, 'gardens'),
            'plants' => Pages::of($request, $plants->count(), self::LISTED, 'plants'),
        ];

        return view('practice.edit', [
            'firm' => $bridge->firm(),
            'book' => $book,
            'putAside' => $bridge->putAside($bridge->firm()->practice),
            'pages' => $pages,
            'gardens' => $gardens->orderBy('id')->limit(self::LISTED)->offset($pages['gardens']->offset())->get(),
            'plants' => $plants
                ->with('garden')
                ->orderBy('id')
                ->limit(self::LISTED)
                ->offset($pages['plants']->offset())
                ->get(),
        ]);
    }

    public function update(SchoolsRequest $request): RedirectResponse
    {
        $firm = Firm::ours();
        FreshForm::hold($request, $firm);
        $firm->practice = $request->chosen();
        $firm->save();

        return redirect()
            ->route('practice.edit')
            ->with(
                'said',
                'Saved. Every prescription follows it from now on; planned visits keep what they were given.',
            )
            ->with('undo', Undo::of($firm));
    }
}
