<?php

declare(strict_types=1);

namespace App\Ground\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;

/**
 * A picture of a plant before or after the work. The file lies on disk under its name, out of reach of the web.
 *
 * @property int $id
 * @property string $uuid the name it was given on the phone
 * @property int $visit_task_id
 * @property string $moment before or after
 * @property ?int $taken_by
 * @property Carbon $taken_at
 * @property int $width in pixels
 * @property int $height
 * @property int $bytes
 * @property-read VisitTask $task
 */
final class Photo extends Model
{
    public const UPDATED_AT = null;

    public const MOMENTS = ['before', 'after'];

    protected $fillable = ['uuid', 'visit_task_id', 'moment', 'taken_by', 'taken_at', 'width', 'height', 'bytes'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['taken_at' => 'datetime'];
    }

    public function getRouteKeyName(): string
    {
        return 'uuid';
    }

    /** Files of pictures that came and whose line was never written: a day old, nobody is writing it any more. */
    public static function forgetStray(): void
    {
        $disk = Storage::disk('local');
        foreach (array_chunk($disk->files('photos'), 500) as $files) {
            $names = array_map(static fn (string $file): string => basename($file, '.jpg'), $files);
            $known = self::query()->whereIn('uuid', $names)->pluck('uuid')->all();
            foreach (array_diff($names, $known) as $stray) {
                $file = "photos/$stray.jpg";
                if ($disk->exists($file) && $disk->lastModified($file) < time() - 86_400) {
                    $disk->delete($file);
                }
            }
        }
    }

    public function path(): string
    {
        return "photos/$this->uuid.jpg";
    }

    /** A small copy for lists, made on the queue; it is in no backup. */
    public function smallPath(): string
    {
        return "thumbnails/$this->uuid.jpg";
    }

    public function hasSmallCopy(): bool
    {
        $disk = Storage::disk('local');

        return $disk->exists($this->smallPath())
            && $disk->lastModified($this->smallPath()) >= $disk->lastModified($this->path());
    }

    public function deleteFiles(): void
    {
        Storage::disk('local')->delete([$this->path(), $this->smallPath()]);
    }

    /** @return BelongsTo<VisitTask, $this> */
    public function task(): BelongsTo
    {
        return $this->belongsTo(VisitTask::class, 'visit_task_id');
    }
}
