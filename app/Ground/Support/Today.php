<?php

declare(strict_types=1);

namespace App\Ground\Support;

use DateTimeZone;
use Illuminate\Support\Carbon;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Fault;

/**
 * The one place where the product learns what day it is, in the time zone of the firm; `HOOK_TODAY` puts another day in
 * its stead.
 */
final readonly class Today
{
    /** @throws Fault when HOOK_TODAY is set to something that is no day */
    public static function day(): Day
    {
        return self::of(Carbon::now());
    }

    /** The day on which something happened: the firm's own, wherever the clock that told it stands. */
    public static function of(Carbon $moment): Day
    {
        $set = config('hook.today');

        return Day::parse(is_string($set) && $set !== '' ? $set : self::local($moment)->format('Y-m-d'));
    }

    /** The same moment by the firm's clock. */
    public static function local(Carbon $moment): Carbon
    {
        return $moment->copy()->setTimezone(self::zone());
    }

    /** @throws Fault when HOOK_TIME_ZONE is set to something that is no time zone */
    public static function zone(): DateTimeZone
    {
        $zone = config('hook.time_zone');
        if (is_string($zone) && in_array($zone, timezone_identifiers_list(DateTimeZone::ALL_WITH_BC), true)) {
            return new DateTimeZone($zone);
        }

        throw new Fault(sprintf(
            'HOOK_TIME_ZONE is "%s", which is no time zone. Write one as Europe/London or Pacific/Auckland in .env',
            is_scalar($zone) ? (string) $zone : '',
        ));
    }
}
