<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Models\Photo;
use App\Ground\Models\User;
use App\Ground\Models\VisitTask;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Pictures come last and one by one: what was said of the plant never waits for them. */
final class PhotoController extends Controller
{
    private const MOST_KB = 15 * 1024;

    public function store(Request $request, KeepPhoto $photos): JsonResponse
    {
        $this->validate($request, [
            'id' => ['required', 'uuid'],
            'task' => ['required', 'integer'],
            'moment' => ['required', Rule::in(Photo::MOMENTS)],
            'taken_at' => ['required', 'date'],
            'photo' => ['required', 'file', 'max:'.self::MOST_KB],
        ], [
            'photo.max' => 'The picture is over 15 MB.', 'photo.uploaded' => 'The picture is too large to be sent.',
        ]);
        $task = VisitTask::query()->with('visit')->find($request->integer('task'))
            ?? throw ValidationException::withMessages(['task' => 'That task is no longer planned.']);
        $this->authorize('log', $task->visit);
        /** @var User $user */
        $user = $request->user();
        /** @var UploadedFile $file */
        $file = $request->file('photo');
        $photos->keep($task, $user, [
            'uuid' => Asked::text($request, 'id'), 'moment' => Asked::text($request, 'moment'),
            'taken_at' => Carbon::parse(Asked::text($request, 'taken_at'))->utc(),
        ], $file->getPathname());

        return response()->json(['state' => 'kept']);
    }

    public function show(Request $request, Photo $photo): BinaryFileResponse
    {
        $disk = Storage::disk('local');
        abort_unless($disk->exists($photo->path()), 404);
        $small = $request->boolean('small');
        if ($small && ! $photo->hasSmallCopy()) {
            // Pictures from a backup or an import have none yet. The large one is shown meanwhile.
            MakeSmallCopy::dispatch($photo->uuid);

            return response()->file($disk->path($photo->path()), ['Cache-Control' => 'private, no-cache']);
        }

        return response()->file($disk->path($small ? $photo->smallPath() : $photo->path()), [
            'Cache-Control' => 'private, max-age=31536000, immutable',
        ]);
    }

    /** Whoever took it takes it back, and the planner. */
    public function destroy(Request $request, Photo $photo): JsonResponse
    {
        $this->authorize('log', $photo->task->visit);
        /** @var User $user */
        $user = $request->user();
        abort_unless($photo->taken_by === $user->id || $user->isPlanner(), 403);
        $photo->delete();
        $photo->deleteFiles();

        return response()->json(['state' => 'gone']);
    }
}
