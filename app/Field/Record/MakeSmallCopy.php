<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Models\Photo;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Support\Facades\Storage;

/** Makes the small copy of a picture that lists show. */
final class MakeSmallCopy implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Dispatchable;
    use Queueable;

    /** Pixels on the longer side: what a list shows, on a screen of double density. */
    private const SIDE = 480;

    public int $tries = 3;

    public int $timeout = 50;

    /** Seconds after which it can be asked for again, whatever became of it. */
    public int $uniqueFor = 300;

    public function __construct(private readonly string $uuid)
    {
        $this->afterCommit();
    }

    public function uniqueId(): string
    {
        return $this->uuid;
    }

    public function handle(): void
    {
        $photo = Photo::query()->where('uuid', $this->uuid)->first();
        $disk = Storage::disk('local');
        if ($photo !== null && $disk->exists($photo->path()) && ! $photo->hasSmallCopy()) {
            $disk->put($photo->smallPath(), PlainPicture::of($disk->path($photo->path()), self::SIDE)->jpeg);
        }
    }
}
