<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Support\OutsideLink;
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

    /** Days for which the full text is kept; invitations expire by then. */
    private const WHOLE_DAYS = 14;

    private const FOLDER = 'post';

    protected $fillable = ['channel', 'to', 'subject', 'body', 'is_private', 'failed_because'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_private' => 'boolean'];
    }

    /**
     * Stores a letter without its sign-in and client links. The full text is kept in a file outside the database, so
     * that no backup has it.
     *
     * @param  array{channel: string, to: string, subject: string, body: string, is_private?: bool}  $said
     */
    public static function take(array $said): self
    {
        $letter = self::query()->create([...$said, 'body' => OutsideLink::cut($said['body'])]);
        // After a restore numbers are given again: the file may still be an earlier letter's.
        $letter->body === $said['body']
            ? Storage::disk('local')->delete($letter->file())
            : Storage::disk('local')->put($letter->file(), $said['body'], 'private');

        return $letter;
    }

    /** The full text, or without links once the file has gone. */
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

    /** Path of the full text on the local disk. */
    public function file(): string
    {
        return self::FOLDER."/$this->id.txt";
    }
}
