<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Ground\Models\Firm;
use App\Ground\Support\AskedRequest;
use Illuminate\Support\Facades\Gate;

/** The firm's choice of schools. */
final class SchoolsRequest extends AskedRequest
{
    public function authorize(): bool
    {
        return Gate::allows('update', Firm::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return SchoolRules::rules();
    }

    /** @return array<string, string> */
    public function chosen(): array
    {
        return SchoolRules::chosen($this->validated('practice', []));
    }
}
