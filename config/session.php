<?php

declare(strict_types=1);

// A crew's phone stays signed in through a month of rounds; a lost one is shut out from any other device.
return [
    'lifetime' => (int) env('SESSION_LIFETIME', 30 * 24 * 60),
    'expire_on_close' => false,
    'same_site' => 'lax',
    'http_only' => true,
];
