<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Models\Garden;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\SentOnce;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\PlantBook\PlantBook;

/** Many plants at once, from a list: what was understood is shown before anything is kept. */
final class PlantListController extends Controller
{
    /** The list anew; or, where something in it was wrong, as it was sent. */
    public function create(Garden $garden, PlantBook $book): View
    {
        $this->authorize('update', $garden);
        $sent = PlantList::asSent(Asked::rowsBefore('rows'));

        return view('plants.list', [
            'garden' => $garden,
            'book' => $book,
            'list' => $sent === '' ? null : PlantList::read($sent, $book->names(), self::recent($garden)),
            'text' => $sent,
        ]);
    }

    /** @return list<string> kinds that grow there already */
    private static function recent(Garden $garden): array
    {
        return array_values(array_filter(
            DB::table('plants')->where('garden_id', $garden->id)->distinct()->pluck('kind')->all(), is_string(...),
        ));
    }

    public function preview(Request $request, Garden $garden, PlantBook $book): View
    {
        $this->authorize('update', $garden);
        $this->validate($request, [
            'list' => ['nullable', 'string', 'max:40000', 'required_without:file'],
            'file' => ['nullable', 'file', 'max:256'],
        ], ['list.required_without' => 'Write a line for each plant, or choose a file.']);
        $file = $request->file('file');
        $text = $file instanceof UploadedFile ? (string) $file->get() : Asked::text($request, 'list');

        return view('plants.list', [
            'garden' => $garden,
            'book' => $book,
            'list' => PlantList::read($text, $book->names(), self::recent($garden)),
            'text' => mb_scrub($text),
        ]);
    }

    public function store(PlantListRequest $request, Garden $garden): RedirectResponse
    {
        $plants = $request->plants();

        return SentOnce::write(static function () use ($garden, $plants): RedirectResponse {
            foreach ($plants as $plant) {
                $garden->plants()->create($plant);
            }

            return redirect()->route('gardens.show', $garden)->with('said', match (count($plants)) {
                0 => 'Nothing was ticked, so nothing was planted in the book.',
                1 => 'One plant has been added. Enter its size on its page.',
                default => count($plants).' plants are in the book. Say on their pages how large they are.',
            });
        });
    }
}
