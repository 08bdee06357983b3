<?php

declare(strict_types=1);

// What changed is worked out anew in the background, by the worker that ./hook demo and ./hook serve start beside the
// server. Without a worker nothing is lost: whatever is stale is worked out when it is looked at.
return [
    'default' => env('HOOK_QUEUE', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        'database' => [
            'driver' => 'database',
            'table' => 'jobs',
            'queue' => 'default',
            'retry_after' => 900,
            'after_commit' => true,
        ],
        'null' => ['driver' => 'null'],
    ],
    'failed' => ['driver' => 'database-uuids', 'database' => env('DB_CONNECTION', 'sqlite'), 'table' => 'failed_jobs'],
];
