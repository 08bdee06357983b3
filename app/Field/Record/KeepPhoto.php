<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Models\Photo;
use App\Ground\Models\User;
use App\Ground\Models\VisitTask;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;
use RuntimeException;
use Throwable;

/** Keeps a picture once, however often it is sent. */
final readonly class KeepPhoto
{
    /** Of one task: more than anybody looks at, and as many as a sheet bears. */
    public const MOST = 100;

    /**
     * @param  array{uuid: string, moment: string, taken_at: Carbon}  $said
     * @param  string  $path  where the file lies that came
     *
     * @throws ValidationException where it is no picture or too large a one, another is kept under its name, or there
     *                             are enough of them
     */
    public function keep(VisitTask $task, User $by, array $said, string $path): Photo
    {
        $kept = Photo::query()->where('uuid', $said['uuid'])->first();
        if ($kept !== null) {
            return $kept->visit_task_id === $task->id && $kept->taken_by === $by->id
                ? $kept
                : throw ValidationException::withMessages(['id' => 'Another picture was kept under this name.']);
        }
        if ($task->photos()->count() >= self::MOST) {
            throw ValidationException::withMessages(['photo' => sprintf(
                'This task has %d pictures already, the most it can keep. Delete one first.', self::MOST,
            )]);
        }
        $picture = PlainPicture::of($path);
        $photo = new Photo([
            ...$said, 'visit_task_id' => $task->id, 'taken_by' => $by->id,
            'width' => $picture->width, 'height' => $picture->height, 'bytes' => strlen($picture->jpeg),
            'taken_at' => $said['taken_at']->min(Carbon::now()),
        ]);
        // The file first: a row never points at nothing. One without a row goes at once, or else at night.
        try {
            if (! Storage::disk('local')->put($photo->path(), $picture->jpeg)) {
                throw new RuntimeException("the picture $photo->uuid could not be written");
            }
            $photo->save();
        } catch (Throwable $fault) {
            $kept = Photo::query()->where('uuid', $said['uuid'])->first();
            if ($kept !== null) {
                return $kept;
            }
            Storage::disk('local')->delete($photo->path());

            throw $fault;
        }
        MakeSmallCopy::dispatch($photo->uuid);

        return $photo;
    }
}
