<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Support\Today;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use PruningHook\Core\Calendar\Day;

/**
 * The way to a client's own page. Whoever has it reads it, so that only a digest is kept; taken away, it opens nothing.
 *
 * @property int $id
 * @property int $garden_id
 * @property string $digest
 * @property ?int $made_by
 * @property ?Carbon $created_at
 * @property ?Carbon $seen_at when it was last opened
 * @property-read Garden $garden
 */
final class ClientLink extends Model
{
    public const UPDATED_AT = null;

    /** A year and a month: until the next season's letter. */
    private const OPEN_DAYS = 395;

    protected $fillable = ['garden_id', 'digest', 'made_by', 'seen_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['seen_at' => 'datetime'];
    }

    public function endsOn(): Day
    {
        return Today::of($this->created_at ?? Carbon::now())->plus(self::OPEN_DAYS);
    }

    /** @return Builder<self> links that still work: recent, and of gardens that are not archived */
    public static function open(): Builder
    {
        return self::query()->where('created_at', '>', Carbon::now()->subDays(self::OPEN_DAYS))
            ->whereHas('garden', static fn (Builder $garden) => $garden->whereNull('archived_on'));
    }

    /** Deletes expired links. */
    public static function forgetOld(): void
    {
        self::query()->where('created_at', '<=', Carbon::now()->subDays(self::OPEN_DAYS))->delete();
    }

    /** @return BelongsTo<Garden, $this> */
    public function garden(): BelongsTo
    {
        return $this->belongsTo(Garden::class);
    }
}
