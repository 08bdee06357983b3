<?php

declare(strict_types=1);

use Monolog\Formatter\JsonFormatter;

// A file a day, kept for two weeks, and read by nobody but who runs the office. All errors are reported here. What is
// to hear of them as well, a tracker say, is a channel of its own that LOG_ALSO names, with commas between.
$also = env('LOG_ALSO');

return [
    'default' => env('LOG_CHANNEL', 'daily'),

    'channels' => [
        // What cannot be logged, because the disk is full say, must not be the fault that is told.
        'daily' => [
            'driver' => 'stack',
            'channels' => ['files', ...array_filter(explode(',', is_string($also) ? $also : ''))],
            'ignore_exceptions' => true,
        ],
        'syslog' => ['driver' => 'syslog', 'level' => 'error', 'replace_placeholders' => true],
        'files' => [
            'driver' => 'daily',
            'path' => storage_path('logs/laravel.log'),
            'level' => env('LOG_LEVEL', 'warning'),
            'days' => 14,
            'permission' => 0600,
            'replace_placeholders' => true,
        ],
        // Who came in, who tried to, and what left the house: a line of JSON each, kept for a year.
        'security' => ['driver' => 'stack', 'channels' => ['security-files'], 'ignore_exceptions' => true],
        'security-files' => [
            'driver' => 'daily',
            'path' => storage_path('logs/security.log'),
            'level' => 'info',
            'days' => 365,
            'permission' => 0600,
            'formatter' => JsonFormatter::class,
        ],
    ],
];
