<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;

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
 * @property ?int $first_change the first version that taking it in made
 * @property ?int $last_change
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

    public const REFUSED = 'refused';

    /** Somebody did not want to wait for it. */
    public const CANCELLED = 'cancelled';

    private const FOR_SECONDS = 3600;

    protected $fillable = ['of', 'name', 'status', 'says', 'new', 'changed', 'same', 'wrong', 'user_id'];

    protected $attributes = ['new' => 0, 'changed' => 0, 'same' => 0, 'wrong' => 0];

    public function path(): string
    {
        return "imports/$this->id.csv";
    }

    public function isBusy(): bool
    {
        return in_array($this->status, [self::READING, self::WRITING, self::TAKING_BACK], true);
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
