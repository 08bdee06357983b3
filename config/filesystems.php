<?php

declare(strict_types=1);

return [
    'disks' => [
        // Nothing kept by the product is served by its address.
        'local' => [
            'driver' => 'local', 'root' => env('HOOK_FILES') ?: storage_path('app/private'), 'serve' => false,
            'throw' => true, 'visibility' => 'private', 'directory_visibility' => 'private',
        ],
    ],
];
