<?php

declare(strict_types=1);

// Where the disk is full nothing can be put aside between requests; the request itself goes on without.
$store = env('CACHE_STORE', 'file');

return [
    'default' => $store === 'file' ? 'failover' : $store,
    'stores' => [
        'failover' => ['driver' => 'failover', 'stores' => ['file', 'array']],
        'file' => [
            'driver' => 'file', 'path' => storage_path('framework/cache/data'),
            'lock_path' => storage_path('framework/cache/data'),
        ],
        // Of several servers that share one office.
        'database' => ['driver' => 'database', 'table' => 'cache', 'lock_table' => 'cache_locks'],
        'array' => ['driver' => 'array', 'serialize' => false],
    ],
];
