<?php

declare(strict_types=1);

namespace App\Ground\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A browser in which somebody's PIN is enough: they have signed in there with their password within a month.
 *
 * @property int $id
 * @property int $user_id
 * @property string $browser its id for this person, as `KnownBrowsers` keeps it
 * @property int $tries wrong PINs since the last right one
 * @property Carbon $since when the password was last entered there
 * @property-read User $user
 */
final class PinBrowser extends Model
{
    public $timestamps = false;

    private const DAYS = 30;

    protected $fillable = ['user_id', 'browser', 'tries', 'since'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['since' => 'datetime', 'tries' => 'integer'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public static function oldest(): Carbon
    {
        return Carbon::now()->subDays(self::DAYS);
    }

    public static function forgetOld(): void
    {
        self::query()->where('since', '<', self::oldest())->delete();
    }
}
