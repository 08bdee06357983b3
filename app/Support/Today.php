<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Carbon;
use PruningHook\Core\Calendar\Day;

/** The one place where the product learns what day it is; `HOOK_TODAY` puts another day in its stead. */
final readonly class Today
{
    /** @throws \PruningHook\Core\Fault when HOOK_TODAY is set to something that is no day */
    public static function day(): Day
    {
        $set = config('hook.today');

        return Day::parse(is_string($set) && $set !== '' ? $set : Carbon::now()->format('Y-m-d'));
    }
}
