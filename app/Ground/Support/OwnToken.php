<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;

/** Forms and pages carry the token themselves; no cookie that scripts can read has to. */
final class OwnToken extends ValidateCsrfToken
{
    protected $addHttpCookie = false;
}
