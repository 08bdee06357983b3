<?php

declare(strict_types=1);

return [
    'disks' => [
        // Nothing kept by the product is served by its address.
        'local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false, 'throw' => true],
    ],
];
