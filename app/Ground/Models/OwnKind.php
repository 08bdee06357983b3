<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Concerns\KeepsVersions;
use App\Ground\Models\Concerns\WritesInTransaction;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * One version of what the firm says of a kind: a correction laid over the plant book's entry, or a kind of its own.
 *
 * @property int $id
 * @property string $kind
 * @property ?string $like the kind a new one was begun from; null where a kind of the plant book is corrected
 * @property array<array-key, mixed> $entry in the plant book's own form, only what differs
 * @property string $note why
 * @property Carbon $created_at
 * @property-read ?User $writtenBy
 */
final class OwnKind extends Model
{
    use KeepsVersions;
    use SoftDeletes;
    use WritesInTransaction;

    protected $fillable = ['kind', 'like', 'entry', 'note', 'written_by'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['entry' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function writtenBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'written_by');
    }
}
