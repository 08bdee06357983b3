<?php

declare(strict_types=1);

return [
    // The day the product takes for today (yyyy-mm-dd), for tests and for looking at a demo in another season.
    'today' => env('HOOK_TODAY'),

    // The firm's time zone, for sunrise and sunset; days themselves have none.
    'time_zone' => env('HOOK_TIME_ZONE', 'Europe/London'),
];
