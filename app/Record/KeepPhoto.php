<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Photo;
use App\Models\User;
use App\Models\VisitTask;
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

    private const TYPES = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    /**
     * @param  array{uuid: string, moment: string, taken_at: Carbon}  $said
     * @param  string  $path  where the file lies that came
     *
     * @throws ValidationException where it is no picture, another is kept under its name, or there are enough of them
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
        // It warns of what is no picture, and says so by its answer as well.
        $size = @getimagesize($path);
        if ($size === false || ! in_array($size[2], self::TYPES, true)) {
            throw ValidationException::withMessages(['photo' => 'That is no picture.']);
        }

        $photo = new Photo([
            ...$said, 'visit_task_id' => $task->id, 'taken_by' => $by->id,
            'width' => $size[0], 'height' => $size[1],
            'bytes' => (int) filesize($path), 'taken_at' => $said['taken_at']->min(Carbon::now()),
        ]);
        // The file first: a row never points at nothing. One without a row goes at once, or else at night.
        try {
            if (! Storage::disk('local')->put($photo->path(), (string) file_get_contents($path))) {
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

        return $photo;
    }
}
