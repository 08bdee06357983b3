<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\OutsideLink;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;

/**
 * What the simulated post office took, as it would have gone out.
 *
 * @property int $id
 * @property string $channel `mail` or `text`
 * @property string $to an address, or a number
 * @property string $subject
 * @property string $body plain text, without what opens an account or a page
 * @property ?string $failed_because why it could not be delivered
 * @property bool $is_private where its link opens somebody's account
 * @property ?Carbon $created_at
 */
final class Letter extends Model
{
    public const UPDATED_AT = null;

    /** No link in a letter that opens anything by itself is good for longer. */
    private const WHOLE_DAYS = 14;

    private const FOLDER = 'post';

    protected $fillable = ['channel', 'to', 'subject', 'body', 'is_private', 'failed_because'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_private' => 'boolean'];
    }

    /**
     * Takes a letter in. What opens an account or a page stands in a file beside the database for as long as it is
     * good, and in no backup.
     *
     * @param  array{channel: string, to: string, subject: string, body: string, is_private?: bool}  $said
     */
    public static function take(array $said): self
    {
        $letter = self::query()->create([...$said, 'body' => OutsideLink::cut($said['body'])]);
        if ($letter->body !== $said['body']) {
            Storage::disk('local')->put($letter->file(), $said['body'], 'private');
        }

        return $letter;
    }

    /** As it went out; without its links once they are old. */
    public function whole(): string
    {
        $disk = Storage::disk('local');

        return $disk->exists($this->file()) ? (string) $disk->get($this->file()) : $this->body;
    }

    public function erase(): void
    {
        $this->delete();
        Storage::disk('local')->delete($this->file());
    }

    public static function forgetSecrets(): void
    {
        $disk = Storage::disk('local');
        foreach ($disk->files(self::FOLDER) as $file) {
            if ($disk->lastModified($file) < Carbon::now()->subDays(self::WHOLE_DAYS)->getTimestamp()) {
                $disk->delete($file);
            }
        }
    }

    /** Among the office's own files. */
    public function file(): string
    {
        return self::FOLDER."/$this->id.txt";
    }
}
