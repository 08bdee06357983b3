<?php

declare(strict_types=1);

namespace App\Ground\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One version of a row giving way to the next. `before` and `after` hold what differs, as the columns hold it; of a row
 * that was made or taken out, all of it.
 *
 * @property int $id
 * @property string $of a key of `ROWS`
 * @property int $row_id
 * @property Did $did
 * @property string $label what the row was called then
 * @property array<string, scalar|null> $before
 * @property array<string, scalar|null> $after
 * @property ?int $user_id
 * @property Carbon $at
 * @property ?int $undone_by
 * @property ?int $import_id the file that brought it
 * @property-read ?User $user
 */
final class Change extends Model
{
    /** @var array<string, class-string<Model>> */
    public const ROWS = [
        'garden' => Garden::class, 'plant' => Plant::class, 'visit' => Visit::class, 'log' => WorkLog::class,
        'bloom' => BloomNote::class, 'sign' => Observation::class, 'kind' => OwnKind::class, 'firm' => Firm::class,
        'crew' => Crew::class, 'day-off' => CrewDayOff::class, 'person' => User::class, 'sign-off' => SignOff::class,
    ];

    public $timestamps = false;

    protected $fillable = ['of', 'row_id', 'did', 'label', 'before', 'after', 'user_id', 'at', 'undone_by',
        'import_id'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['did' => Did::class, 'before' => 'array', 'after' => 'array', 'at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** Who made a row's last version; null where nobody is known, or it never changed. */
    public static function by(Model $row): ?string
    {
        return self::query()->with('user')->find(self::last($row))?->user?->name;
    }

    /** The number of a row's last version: a form made of an earlier one is stale. 0 where it never changed. */
    public static function last(Model $row): int
    {
        $last = self::query()->where('of', array_search($row::class, self::ROWS, true));
        $last->where('row_id', $row->getKey());

        return (int) $last->max('id');
    }
}
