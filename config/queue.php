<?php

declare(strict_types=1);

// What changed is worked out anew in the background, by the worker that ./hook demo and ./hook serve start beside the
// server. Without a worker nothing is lost: whatever is stale is worked out when it is looked at.
return [
    'default' => env('HOOK_QUEUE', 'database'),
    // Letters may go by a queue of their own.
    'letters' => env('HOOK_LETTERS_QUEUE'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        'database' => [
            'driver' => 'database',
            'table' => 'jobs',
            'queue' => 'default',
            // A job whose worker was killed is taken up again after so many seconds; longer ones say that they are
            // alive (App\Ground\Support\StaysReserved).
            'retry_after' => 60,
            'after_commit' => true,
        ],
        'null' => ['driver' => 'null'],
    ],
    'failed' => ['driver' => 'database-uuids', 'database' => env('DB_CONNECTION', 'sqlite'), 'table' => 'failed_jobs'],
];
