<?php

declare(strict_types=1);

return [
    // Programs use tokens; a browser's session opens no API.
    'guard' => [],
    'stateful' => [],
    'routes' => false,

    // Each token has an end of its own.
    'expiration' => null,

    // So that a token that slipped into a repository is found by whoever scans it.
    'token_prefix' => 'hook_',

    // `App\Io\Api\TokenUse` notes it once an hour: reading takes no write lock.
    'last_used_at' => false,
];
