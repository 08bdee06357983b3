<?php

declare(strict_types=1);

namespace App\Ground\Models;

use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Context;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * A file somebody wants taken in: read first, shown line by line, and kept only once that is accepted.
 *
 * @property int $id
 * @property string $of `plants`, `gardens`, `visits` or `logs`
 * @property string $name of the file
 * @property string $status one of the words below
 * @property ?string $says why it was refused
 * @property int $new lines, by what taking them in does
 * @property int $changed
 * @property int $same
 * @property int $wrong
 * @property ?int $user_id
 * @property ?Carbon $created_at
 * @property-read ?User $user
 */
final class Import extends Model
{
    public const READING = 'reading';

    public const READ = 'read';

    public const WRITING = 'writing';

    public const DONE = 'done';

    public const TAKING_BACK = 'taking-back';

    public const TAKEN_BACK = 'taken-back';

    /** It could not be taken in to its end: what is in is taken out again. */
    public const PUTTING_BACK = 'putting-back';

    public const REFUSED = 'refused';

    /** Somebody did not want to wait for it. */
    public const CANCELLED = 'cancelled';

    /** Where a file lies until its import is written. */
    public const SENT = 'imports/sent';

    private const BRINGS = 'import';

    private const FOR_SECONDS = 3600;

    protected $fillable = ['of', 'name', 'status', 'says', 'new', 'changed', 'same', 'wrong', 'user_id'];

    protected $attributes = ['new' => 0, 'changed' => 0, 'same' => 0, 'wrong' => 0];

    /** Files that were sent and whose import was never written: the server was stopped in between. */
    public static function forgetStray(): void
    {
        $disk = Storage::disk('local');
        foreach ($disk->files(self::SENT) as $file) {
            if ($disk->lastModified($file) < time() - 86_400) {
                $disk->delete($file);
            }
        }
    }

    public function path(): string
    {
        return "imports/$this->id.csv";
    }

    public function isBusy(): bool
    {
        return in_array(
            $this->status, [self::READING, self::WRITING, self::TAKING_BACK, self::PUTTING_BACK], true,
        );
    }

    /** What it brought is being taken out again. */
    public function isGoing(): bool
    {
        return in_array($this->status, [self::TAKING_BACK, self::PUTTING_BACK], true);
    }

    /** Lines of it that are in the book. */
    public function linesIn(): int
    {
        return DB::table('import_rows')->where('import_id', $this->id)->where('kept', true)->count();
    }

    /** It cannot be taken in to its end. */
    public function putBack(string $because): void
    {
        $this->come(0);
        $this->update(['status' => self::PUTTING_BACK, 'says' => "It was not taken in. $because"]);
    }

    /** All that it brought is out again. */
    public function isOut(): void
    {
        $this->update($this->status === self::TAKING_BACK ? ['status' => self::TAKEN_BACK, 'says' => null] : [
            'status' => self::READ,
            'says' => "$this->says Nothing was kept. Read the file again to see what is new in it now.",
        ]);
    }

    /** What it brought stays, or what of it could not be taken out. */
    public function stays(string $because, bool $inPart): void
    {
        $this->update(['status' => self::DONE, 'says' => trim(match (true) {
            $this->status === self::PUTTING_BACK => "$this->says What of it had been taken in could not be taken out "
                ."again: $because Undo tries once more.",
            $inPart => "It was taken back only in part: $because Undo goes on with the rest.",
            default => "It was not taken back: $because Nothing was changed.",
        })]);
    }

    /** Every version that is made meanwhile bears the number of this file. */
    public function bring(Closure $do): void
    {
        Context::scope($do, [self::BRINGS => $this->id]);
    }

    /** The file that is being taken in here, if one is. */
    public static function bringing(): ?int
    {
        $id = Context::get(self::BRINGS);

        return is_int($id) ? $id : null;
    }

    /** How many lines it has come to; told beside the database, which is held while it is written to. */
    public function come(int $lines): void
    {
        Cache::put("import $this->id", $lines, self::FOR_SECONDS);
    }

    public function came(): int
    {
        $lines = Cache::get("import $this->id");

        return is_int($lines) ? $lines : 0;
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
