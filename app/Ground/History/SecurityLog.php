<?php

declare(strict_types=1);

namespace App\Ground\History;

use App\Ground\Models\Device;
use App\Ground\Models\SecurityEvent;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\User;
use App\Ground\Support\Network;
use App\Ground\Support\Quietly;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Log;

/** Writes security events to the database, for the planner, and as JSON lines to their own log file. */
final readonly class SecurityLog
{
    /** @param  ?User  $by  defaults to whoever is signed in */
    public static function note(
        SecurityEventKind $kind,
        ?User $by = null,
        ?User $about = null,
        ?string $says = null,
    ): void {
        $by ??= Auth::user() instanceof User ? Auth::user() : null;
        $isAsked = ! app()->runningInConsole() || app()->runningUnitTests();
        $facts = [
            'at' => Carbon::now(),
            'kind' => $kind,
            'user_id' => $by?->id,
            'about_id' => $about !== null && ! $about->is($by) ? $about->id : null,
            'network' => $isAsked ? Network::of((string) request()->ip()) : null,
            'device' => $isAsked ? Device::kindOf((string) request()->userAgent()) : null,
            'says' => $says === null ? null : mb_substr($says, 0, 200),
        ];
        Log::channel('security')->info($kind->value, array_filter([
            ...$facts, 'at' => $facts['at']->toIso8601ZuluString(), 'kind' => null,
        ], static fn (mixed $fact): bool => $fact !== null));
        // If the database is busy, the line in the file remains.
        Quietly::write(static fn () => SecurityEvent::query()->create($facts));
    }
}
