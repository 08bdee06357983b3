<?php

declare(strict_types=1);

namespace App\Ground\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Config;

/**
 * Where somebody is signed in: one session of theirs, so that it can be ended alone.
 *
 * @property int $id
 * @property int $user_id
 * @property string $kind `phone`, `tablet` or `computer`
 * @property ?Carbon $created_at
 * @property Carbon $seen_at to the hour
 * @property ?string $browser its id for this person, as `KnownBrowsers` keeps it
 */
final class Device extends Model
{
    public const UPDATED_AT = null;

    /** It is told only so often that it is still used. */
    private const SEEN_MINUTES = 60;

    /** Hours without use, and days since sign-in, after which a computer is signed out; days for a phone. */
    private const AWAY_HOURS = 12;

    private const COMPUTER_DAYS = 14;

    private const PHONE_DAYS = 30;

    private const PHONE = '/\b(Mobile|iPhone|iPod)\b/i';

    private const TABLET = '/\b(iPad|Tablet|Android)\b/i';

    protected $fillable = ['user_id', 'kind', 'seen_at', 'browser'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['seen_at' => 'datetime'];
    }

    /** What a browser says it runs on: enough to tell one's own devices apart. */
    public static function kindOf(string $agent): string
    {
        return match (true) {
            preg_match('/\biPad\b/i', $agent) === 1 => 'tablet',
            preg_match(self::PHONE, $agent) === 1 => 'phone',
            preg_match(self::TABLET, $agent) === 1 => 'tablet',
            default => 'computer',
        };
    }

    /** Whether its session has timed out. */
    public function isOver(): bool
    {
        [$days, $away] = $this->kind === 'computer'
            ? [self::COMPUTER_DAYS, $this->seen_at->isBefore(Carbon::now()->subHours(self::AWAY_HOURS))]
            : [self::PHONE_DAYS, false];

        return $away || $this->created_at?->isBefore(Carbon::now()->subDays($days)) === true;
    }

    public function seen(): void
    {
        if ($this->seen_at->diffInMinutes() >= self::SEEN_MINUTES) {
            $this->update(['seen_at' => Carbon::now()]);
        }
    }

    /** Those whose sessions have run out by themselves. */
    public static function forgetOld(): void
    {
        $since = Carbon::now()->subMinutes(Config::integer('session.lifetime') + self::SEEN_MINUTES);
        self::query()->where('seen_at', '<', $since)->delete();
    }
}
