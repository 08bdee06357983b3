<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Firm;
use App\Support\AskedRequest;
use Illuminate\Support\Facades\Gate;

/** The firm's choice of schools. */
final class HousePracticeRequest extends AskedRequest
{
    public function authorize(): bool
    {
        return Gate::allows('update', Firm::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return PracticeRules::rules();
    }

    /** @return array<string, string> */
    public function chosen(): array
    {
        return PracticeRules::chosen($this->validated('practice', []));
    }
}
