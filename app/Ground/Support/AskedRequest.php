<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Foundation\Http\FormRequest;

/** A form that is checked before anything is kept of it. */
abstract class AskedRequest extends FormRequest
{
    /** Text, whatever was sent. */
    final public function line(string $field): string
    {
        return Asked::text($this, $field);
    }
}
