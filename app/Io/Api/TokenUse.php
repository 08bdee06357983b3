<?php

declare(strict_types=1);

namespace App\Io\Api;

use App\Ground\History\SecurityLog;
use App\Ground\Models\AccessToken;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Support\Quietly;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Event;
use Laravel\Sanctum\Events\TokenAuthenticated;
use Laravel\Sanctum\Sanctum;

/** Accepts tokens of present planners only, and notes when each was last used. */
final readonly class TokenUse
{
    private const FORM = '/^\d{1,18}\|\w{1,100}$/D';

    private const NOTED_MINUTES = 60;

    private const A_MINUTE = 240;

    public static function start(): void
    {
        Sanctum::usePersonalAccessTokenModel(AccessToken::class);
        Sanctum::getAccessTokenFromRequestUsing(static function (Request $request): string {
            $token = (string) $request->bearerToken();

            // A number that no row can have is not asked for.
            return preg_match(self::FORM, $token) === 1 ? $token : '';
        });
        Sanctum::authenticateAccessTokensUsing(static function (AccessToken $token, bool $isValid): bool {
            $owner = $token->tokenable;

            return $isValid && $owner?->isPlanner() === true && $owner->left_on === null;
        });
        Event::listen(static function (TokenAuthenticated $used): void {
            $used->token instanceof AccessToken && self::note($used->token);
        });
    }

    /** "expires in 90 days" */
    public static function expiry(AccessToken $token): string
    {
        $days = (int) ceil(Carbon::now()->diffInDays($token->expires_at));

        return match (true) {
            $days <= 0 => 'expired',
            $days === 1 => 'expires within a day',
            default => "expires in $days days",
        };
    }

    public static function limit(Request $request): Limit
    {
        $token = $request->user()?->currentAccessToken();

        return Limit::perMinute(self::A_MINUTE)
            ->by($token instanceof AccessToken ? "token $token->id" : "network {$request->ip()}");
    }

    private static function note(AccessToken $token): void
    {
        $last = $token->last_used_at;
        if ($last !== null && $last->diffInMinutes() < self::NOTED_MINUTES) {
            return;
        }
        if ($last === null || $last->diffInDays() >= 1) {
            SecurityLog::note(SecurityEventKind::TokenUsed, by: $token->tokenable, says: $token->name);
        }
        Quietly::write(static fn () => $token->forceFill(['last_used_at' => Carbon::now()])->save());
    }
}
