<?php

declare(strict_types=1);

namespace App\Io;

use App\Ground\History\SecurityLog;
use App\Ground\Models\Feed;
use App\Ground\Models\Firm;
use App\Ground\Models\Import;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\Pages;
use App\Ground\Support\SentOnce;
use App\Io\Csv\Tables;
use App\Io\Import\ReadImport;
use App\Io\Import\RowSort;
use App\Io\Import\TakeBackImport;
use App\Io\Import\WriteImport;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\Rule;
use stdClass;

/** Files in and out: what may be fetched, and what is taken in once it was looked at. */
final class FileController extends Controller
{
    private const ON_A_PAGE = 50;

    private const LAST = 10;

    private const FEEDS = 200;

    public function index(): View
    {
        $this->authorize('update', Firm::class);
        $feeds = Feed::query()->with(['crew', 'garden']);
        $feeds->orderByDesc('id')->limit(self::FEEDS);
        $imports = Import::query()->with('user');
        $imports->orderByDesc('id')->limit(self::LAST);

        return view('formats.index', ['imports' => $imports->get(), 'feeds' => $feeds->get()]);
    }

    public function store(Request $request): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $this->validate($request, [
            'of' => ['required', Rule::in(array_keys(Tables::IN))],
            'file' => ['required', 'file', 'max:15000'],
        ], [
            'of' => 'Plants, gardens, visits or the record?',
            'file.required' => 'Choose a file.',
            'file.max' => 'It is larger than 15 MB: take it in in parts.',
            'file' => 'It did not arrive whole: it may be larger than 15 MB.',
        ]);
        /** @var UploadedFile $file it was validated */
        $file = $request->file('file');
        $disk = Storage::disk('local');
        $sent = (string) $disk->putFile(Import::SENT, $file);
        try {
            return SentOnce::write(static function () use ($request, $file, $disk, $sent): RedirectResponse {
                $import = Import::query()->create([
                    'of' => Asked::text($request, 'of'),
                    'name' => mb_substr(mb_scrub($file->getClientOriginalName()), 0, 120),
                    'status' => Import::READING, 'user_id' => $request->user()?->id,
                ]);
                $disk->move($sent, $import->path());
                ReadImport::dispatch($import->id);

                return redirect()->route('files.show', $import);
            });
        } finally {
            $disk->delete($sent);
        }
    }

    public function show(Request $request, Import $import): View
    {
        $this->authorize('update', Firm::class);
        $does = RowSort::tryFrom(Asked::text($request, 'does'));
        $rows = DB::table('import_rows')->where('import_id', $import->id);
        if ($does !== null) {
            $rows->where('does', $does->value);
        }
        $pages = Pages::of(
            $request, $does === null ? $import->new + $import->changed + $import->same + $import->wrong
                : $import->{$does->value}, self::ON_A_PAGE,
        );

        return view('formats.show', [
            'import' => $import, 'does' => $does, 'pages' => $pages,
            'in' => $import->status === Import::DONE ? $import->linesIn() : 0,
            'rows' => $import->isBusy() ? [] : $rows->orderBy('id')->skip($pages->offset())->limit($pages->per)->get()
                ->map(static fn (stdClass $row): array => [
                    'line' => (int) $row->line, 'does' => RowSort::from((string) $row->does),
                    'label' => (string) $row->label,
                    'says' => array_filter((array) json_decode((string) $row->says, true), is_string(...)),
                ])->all(),
        ]);
    }

    public function accept(Request $request, Import $import): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        // Two taps, or two people, take it in once.
        $taken = Import::query()->whereKey($import->id)->where('status', Import::READ)
            ->whereRaw('new + changed > 0')->update(['status' => Import::WRITING, 'user_id' => $request->user()?->id,
                'says' => null]);
        if ($taken === 1) {
            $import->come(0);
            WriteImport::dispatch($import->id);
            SecurityLog::note(SecurityEventKind::Imported, says: $import->name);
        }

        return redirect()->route('files.show', $import);
    }

    /** What it brought is taken back, where nothing of it has changed since. */
    public function back(Request $request, Import $import): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $begun = Import::query()->whereKey($import->id)->where('status', Import::DONE)
            ->update(['status' => Import::TAKING_BACK, 'user_id' => $request->user()?->id, 'says' => null]);
        if ($begun === 1) {
            $import->come(0);
            TakeBackImport::dispatch($import->id);
            SecurityLog::note(SecurityEventKind::ImportTakenBack, says: $import->name);
        }

        return redirect()->route('files.show', $import);
    }

    /** Puts a file away; one that is still being read, or taken in, goes no further. */
    public function destroy(Import $import): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $cancelled = Import::query()->whereKey($import->id)->where('status', Import::READING)
            ->update(['status' => Import::CANCELLED]);
        if ($cancelled === 1) {
            return redirect()->route('files.show', $import)->with('said', "$import->name is not read any further.");
        }
        $stopped = Import::query()->whereKey($import->id)->where('status', Import::WRITING)->update([
            'status' => Import::PUTTING_BACK, 'says' => 'It was stopped.',
        ]);
        if ($stopped === 1) {
            $import->come(0);
            TakeBackImport::dispatch($import->id);

            return redirect()->route('files.show', $import);
        }
        if (! $import->isBusy()) {
            Storage::disk('local')->delete($import->path());
            $import->delete();
        }

        return redirect()->route('files')->with('said', "$import->name is put away. Nothing else changed.");
    }
}
