<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\HousePracticeRequest;
use App\Models\Firm;
use App\Models\Garden;
use App\Models\Plant;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use PruningHook\Core\PlantBook\PlantBook;

final class PracticeController extends Controller
{
    public function edit(PlantBook $book): View
    {
        return view('practice.edit', [
            'firm' => Firm::ours(),
            'book' => $book,
            'gardens' => Garden::query()->get()->filter(static fn (Garden $garden): bool => $garden->practice !== []),
            'plants' => Plant::query()->with('garden')->get()->filter(static fn (Plant $plant): bool => $plant->practice !== []),
        ]);
    }

    public function update(HousePracticeRequest $request): RedirectResponse
    {
        $firm = Firm::ours();
        $firm->practice = $request->chosen();
        $firm->save();

        return redirect()->route('practice.edit')->with('said', 'Saved. Every prescription follows it from now on; planned visits keep what they were given.');
    }
}
