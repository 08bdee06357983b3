<?php

declare(strict_types=1);

use App\Ground\Models\User;

return [
    'providers' => [
        'users' => ['driver' => 'eloquent', 'model' => User::class],
    ],
];
