<?php

declare(strict_types=1);

namespace App\Ground\Models;

use Illuminate\Support\Carbon;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * What a program reads the API with, in a planner's name.
 *
 * @property int $id
 * @property string $name of the program
 * @property string $token digest of its secret part
 * @property list<string> $abilities values of `App\Ground\Models\TokenScope`
 * @property ?Carbon $last_used_at to the hour
 * @property ?Carbon $expires_at
 * @property-read ?User $tokenable
 */
final class AccessToken extends PersonalAccessToken
{
    protected $table = 'personal_access_tokens';
}
